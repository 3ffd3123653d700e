import { DragStation } from '@/components/drag/DragStation';

export default function DragPage() {
  return <DragStation />;
}
