import { StrengthStation } from '@/components/strength/StrengthStation';

export default function StrengthPage() {
  return <StrengthStation />;
}
