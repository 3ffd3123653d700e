'use client';

import { coloursOut } from '@/core/rig/tow/towedRig';
import type { RigView } from '@/core/rig/view/rigView';
import type { DepthAnswer, DepthCurves } from '@/core/tow/answerDepth';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Depth } from './useDepth';

/** Lead core at a slow troll: 4 to 5 ft for each colour (common practice, no source). */
const THUMB_M = { least: 4 * 0.3048, most: 5 * 0.3048 } as const;
/** Speeds that the rule is said of (m/s): 1.8 to 2 mph, and a little about them. */
const THUMB_MS = { least: 0.72, most: 0.98 } as const;

/** Rule of thumb, the crew's own rule, physics and what was seen, side by side. */
export function DepthSources({
  view,
  depth,
  answer,
  curves,
}: {
  view: RigView;
  depth: Depth;
  answer: DepthAnswer;
  curves: DepthCurves;
}) {
  const { format } = useUnits();
  const stop = answer.stop.ok ? answer.stop.value : null;
  if (!stop) return <p>With the line that there is, nothing to hold side by side.</p>;
  const colours = coloursOut(view, stop.lengthOutM);
  const { rule } = depth.rig.towed;
  const { speedMS } = depth.question;
  const isThumbsSpeed = speedMS >= THUMB_MS.least && speedMS <= THUMB_MS.most;
  const { seen, correlation } = answer.learned;
  return (
    <>
      <p className="mb-2 text-sm">With {format.length(stop.lengthOutM)} out, each says of the lure:</p>
      <table className="w-full text-sm">
        <tbody>
          <Row name="Rule of thumb, common practice">
            {colours === null || colours === 0
              ? 'it is of lead core: none is out'
              : `${format.length(colours * THUMB_M.least)} to ${format.length(colours * THUMB_M.most)}${isThumbsSpeed ? '' : ', said of slower or faster boats than yours'}`}
          </Row>
          <Row name="Your own rule">
            {rule === null
              ? 'none told'
              : colours === null
                ? 'it counts colours: this line has none'
                : format.length(Math.max(colours * rule.perColourM + rule.otherwiseM, 0))}
          </Row>
          <Row name="Physics of this line alone">
            {format.length(curves.unlearned.value, curves.unlearned.plusMinus)}
          </Row>
          <Row name={seen === 0 ? 'Depths that were seen' : `Tuned to ${seen} seen`}>
            {seen === 0 ? 'none yet' : format.length(stop.depth.value, stop.depth.plusMinus)}
          </Row>
        </tbody>
      </table>
      {correlation !== null && (
        <p className="mt-2 text-sm">
          {Math.abs(correlation) > 0.5
            ? `How the line sinks and how hard the lure pulls are told together only (correlation ${correlation.toFixed(2)}): a depth at another length or speed takes them apart.`
            : `How the line sinks and how hard the lure pulls are told apart (correlation ${correlation.toFixed(2)}).`}
        </p>
      )}
    </>
  );
}

function Row({ name, children }: { name: string; children: string }) {
  return (
    <tr className="border-b border-edge">
      <th scope="row" className="py-1 pr-3 text-left font-normal">
        {name}
      </th>
      <td className="figures py-1">{children}</td>
    </tr>
  );
}
