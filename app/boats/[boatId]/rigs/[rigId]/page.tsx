import { WholeLine } from '@/components/rig/WholeLine';

export default function RigPage() {
  return <WholeLine />;
}
