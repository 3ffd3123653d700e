import { SheetOfRig } from '@/components/sheets/SheetOfRig';

export default function SheetPage() {
  return <SheetOfRig />;
}
