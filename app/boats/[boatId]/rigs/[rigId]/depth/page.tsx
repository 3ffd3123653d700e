import { DepthStation } from '@/components/tow/DepthStation';

export default function DepthPage() {
  return <DepthStation />;
}
