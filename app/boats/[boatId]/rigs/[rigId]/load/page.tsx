import { LoadStation } from '@/components/load/LoadStation';

export default function LoadPage() {
  return <LoadStation />;
}
