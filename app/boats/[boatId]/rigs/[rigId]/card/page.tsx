import { RodCard } from '@/components/cards/RodCard';

export default function RodCardPage() {
  return <RodCard />;
}
