import type { RigView } from '@/core/rig/view/rigView';
import { useUnits } from '@/components/units/UnitsProvider';
import type { LineScale } from './lineScale';
import type { Plane } from './plane';

/** A planer where it rides: between the main line and the leader that is let out by hand, once somebody has towed one with this rig. */
export function PlanerGlyph({
  view,
  plane,
  scale,
  across,
}: {
  view: RigView;
  plane: Plane;
  scale: LineScale;
  across: number;
}) {
  const { format } = useUnits();
  const { line } = view.current;
  const planer = view.record.planerLooks.at(-1)?.planer;
  if (planer === undefined || line.handLinedLengthM <= 0) return null;
  const { x, y } = plane.point(scale.toPx(line.handLinedLengthM), across);
  const words = `Planer ${planer}, with ${format.length(line.handLinedLengthM)} of leader behind it`;
  return (
    <g data-testid="ribbon-planer">
      <title>{words}</title>
      <path
        d={`M${x - 11} ${y + 15} L${x + 9} ${y + 9} L${x + 11} ${y + 21} Z`}
        className="fill-warn stroke-ink"
        strokeWidth={1.2}
      />
    </g>
  );
}
