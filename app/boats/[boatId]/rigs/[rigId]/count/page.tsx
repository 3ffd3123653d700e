import { CountStation } from '@/components/count/CountStation';

export default function CountPage() {
  return <CountStation />;
}
