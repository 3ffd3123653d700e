'use client';

import { compareSchools, type SchoolBreaks, type SchoolPair } from '@/core/joins/compareSchools';
import { PULLS_FOR_EFFICIENCY } from '@/core/joins/joinEfficiency';
import { JOIN_KINDS } from '@/core/joins/joinKinds';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { useRig } from '@/components/rig/RigProvider';
import { CollapsibleCard } from '@/components/ui/CollapsibleCard';
import { useUnits } from '@/components/units/UnitsProvider';
import { schoolName } from '@/words/hands';

function nameOf({ kind, school }: SchoolBreaks): string {
  const taught = schoolName(school ?? '', 'school not noted');
  return `${JOIN_KINDS[kind].name}, ${taught}`;
}

/** What the boat's joins kept when they were pulled, by the school that tied them, and whether the schools differ. */
export function Schools() {
  const { record } = useRig();
  const { format } = useUnits();
  const { schools, pairs } = compareSchools(record.joinBreaks);
  const linesOf = (school: SchoolBreaks): string => {
    const broken = record.joinBreaks.filter((each) => each.kind === school.kind && each.school === school.school);
    return [...new Set(broken.map((each) => `${each.lines}, ${format.force(each.weakerN)}`))].join('; ');
  };
  return (
    <CollapsibleCard
      id="schools"
      title="Joins by their schools"
      line={schools.length === 0 ? 'no join of this boat was pulled to the break yet' : `${schools.length} tested`}
    >
      {schools.length === 0 ? (
        <p className="text-sm">Break samples of a join under Joins: what each school keeps then stands here.</p>
      ) : (
        <>
          <table className="w-full text-sm">
            <thead>
              <tr className="border-b border-ink text-left">
                <th className="py-1 pr-3">join and school</th>
                <th className="py-1 pr-3">breaks</th>
                <th className="py-1 pr-3">keeps</th>
                <th className="py-1">lines, and what the weaker holds</th>
              </tr>
            </thead>
            <tbody>
              {schools.map((school) => (
                <tr key={`${school.kind} ${school.school ?? ''}`} className="border-b border-edge">
                  <td className="py-1 pr-3">{nameOf(school)}</td>
                  <td className="figures py-1 pr-3">{school.n}</td>
                  <td className="figures py-1 pr-3 whitespace-nowrap">
                    {school.n < PULLS_FOR_EFFICIENCY
                      ? `not enough yet (default ${format.percent(school.efficiency.value)})`
                      : format.percent(school.efficiency.value, PLUS_MINUS_SDS * school.efficiency.sd)}
                  </td>
                  <td className="py-1">{linesOf(school)}</td>
                </tr>
              ))}
            </tbody>
          </table>
          <ul className="mt-2 flex flex-col gap-1 text-sm">
            {pairs.map((pair) => (
              <li key={`${pair.first.kind} ${pair.first.school ?? ''} ${pair.second.school ?? ''}`}>
                {pairWords(pair)}
              </li>
            ))}
          </ul>
        </>
      )}
    </CollapsibleCard>
  );
}

function pairWords({ first, second, found }: SchoolPair): string {
  const who = `${nameOf(first)}, against ${nameOf(second)}`;
  if (!found) return `${who}: not enough pulls to tell, two of each at least.`;
  const ratio = `${found.ratio.toFixed(2)} times as much (${found.low.toFixed(2)} to ${found.high.toFixed(2)})`;
  if (found.verdict === 'not enough pulls to tell') {
    return `${who}: not enough pulls to tell; so far it keeps ${ratio}. About ${found.pullsNeeded} of each would decide.`;
  }
  return found.verdict === 'same' ? `${who}: the same within 5 %, ${ratio}.` : `${who}: it keeps ${ratio}.`;
}
