'use client';

import { Link } from '@/components/ui/Link';
import { FRACTION_LIMITS, FRACTION_PRESETS } from '@/core/drag/dragTarget';
import { GUIDE_KINDS } from '@/core/drag/guideFactor';
import { quickDrag, USUAL_KNOT } from '@/core/drag/quickDrag';
import { MATERIALS } from '@/core/materials/materials';
import { ERRORS } from '@/core/measurement/errors';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { LABEL_STRENGTH_RELATIVE_SD } from '@/core/rig/strength/strengthOfRig';
import { QuantityField, useQuantity } from '@/components/fields/QuantityField';
import { ChoiceField } from '@/components/fields/TextField';
import { useKeptChoice } from '@/components/fields/useKept';
import { Button } from '@/components/ui/Button';
import { Caution, Card } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { useSay } from '@/components/units/useSay';
import { quickLinePath } from '@/components/shell/paths';
import { LIMITS } from '@/usecases/limits';

const KNOWN_BY = ['label', 'pulled'] as const;
const SHARES = FRACTION_PRESETS.map((share) => String(100 * share)) as readonly string[];
const BENDS = ['30', '60', '90'] as const;
/** Guides that a usual rod has. */
const USUAL_GUIDES = 7;
const UNKNOWN_GUIDES = 'not told';
const GUIDE_OPTIONS = [UNKNOWN_GUIDES, ...GUIDE_KINDS] as const;

/** A line's strength, a share and the bend of the rod: what the scale should show. No reel is needed. */
export function QuickDrag({ boatId }: { boatId: string }) {
  const { format } = useUnits();
  const say = useSay();
  const key = `quick-drag:${boatId}`;
  const strength = useQuantity(`${key}:strength`, 'force', null, LIMITS.forceN);
  const limit = useQuantity(`${key}:limit`, 'force', null, LIMITS.forceN);
  const [knownBy, setKnownBy] = useKeptChoice(`${key}:by`, KNOWN_BY, 'label');
  const [material, setMaterial] = useKeptChoice(`${key}:material`, MATERIALS, 'nylon');
  const [share, setShare] = useKeptChoice(`${key}:share`, SHARES, '25');
  const [bend, setBend] = useKeptChoice(`${key}:bend`, BENDS, '60');
  const [guides, setGuides] = useKeptChoice(`${key}:guides`, GUIDE_OPTIONS, UNKNOWN_GUIDES);
  const holdsN = strength.value;
  const relativeSd = knownBy === 'label' ? LABEL_STRENGTH_RELATIVE_SD : ERRORS.breakScatterShare.sd;
  const answer =
    holdsN === null || holdsN <= 0
      ? null
      : quickDrag({
          strengthN: { value: holdsN, sd: relativeSd * holdsN, source: knownBy === 'label' ? 'label' : 'measured' },
          material,
          fraction: Number(share) / 100,
          rodAngleRad: (Number(bend) * Math.PI) / 180,
          guides: guides === UNKNOWN_GUIDES ? null : { kind: guides, count: USUAL_GUIDES },
          makerLimitN: limit.value,
        });
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <Card title="The scale should show">
        <div aria-live="polite" className="flex min-h-40 flex-col gap-2">
          {answer?.ok ? (
            <>
              <p className="figures text-5xl font-bold">
                {format.force(answer.value.targetN.value, answer.value.targetN.plusMinus)}
              </p>
              <p>
                at the rod&apos;s tip, the rod bent to {bend}°: {share} % of {format.force(holdsN ?? 0)}
                {answer.value.limitedToN !== null && ", held down to the maker's limit"}. Straight off the reel{' '}
                {format.force(answer.value.straightN.value, answer.value.straightN.plusMinus)}, with guides taken as ×{' '}
                {answer.value.guide.value.toFixed(2)} ± {(PLUS_MINUS_SDS * answer.value.guide.sd).toFixed(2)}.
              </p>
              <p className="text-sm">
                {knownBy === 'label'
                  ? 'The ± is what labels are off by: pull the line three times, and it shrinks.'
                  : 'The ± is the usual scatter of pulls.'}{' '}
                A knot that keeps {format.percent(USUAL_KNOT)} (a default) breaks first: of it this is{' '}
                {format.percent(answer.value.targetN.value / answer.value.knotN)}.
              </p>
              {answer.value.warnings.includes('high-fraction') && (
                <p className="font-semibold text-warn">
                  That is more than {format.percent(FRACTION_LIMITS.warnAbove)} of the knot: a surge has little room.
                  Take a smaller share.
                </p>
              )}
              <p className="text-sm">
                It holds for the spool as full as it is now. As line leaves it pulls harder: a rig says by how much.
              </p>
            </>
          ) : answer ? (
            <p className="font-semibold text-stop">{say(answer)}</p>
          ) : (
            <p>Type what the line holds, and it stands here.</p>
          )}
        </div>
        <Caution>
          Read the moving pull, not the jerk, and pull three times. The maker&apos;s drag limit, tournament rules and a
          qualified technician go first.
        </Caution>
      </Card>
      <Card title="By what you know">
        <div className="flex flex-col gap-3">
          <QuantityField label="The line holds" {...strength.field} />
          <div className="grid grid-cols-2 gap-2">
            <ChoiceField
              label="That is"
              value={knownBy}
              options={[
                { value: 'label', text: 'its label' },
                { value: 'pulled', text: 'the mean of pulls' },
              ]}
              onChange={setKnownBy}
            />
            <ChoiceField
              label="Line"
              value={material}
              options={MATERIALS.map((value) => ({ value, text: value }))}
              onChange={setMaterial}
            />
          </div>
          <Pick label="Share" values={SHARES} chosen={share} unit=" %" onPick={setShare} />
          <Pick label="The rod is bent" values={BENDS} chosen={bend} unit="°" onPick={setBend} />
          <div className="grid grid-cols-2 gap-2">
            <ChoiceField
              label="It runs over"
              value={guides}
              options={GUIDE_OPTIONS.map((value) => ({ value, text: value }))}
              onChange={setGuides}
            />
            <QuantityField label="Maker's drag limit" {...limit.field} hint="leave empty if not known" />
          </div>
          {holdsN !== null && (
            <Link
              className="inline-flex min-h-11 items-center font-semibold text-chalk underline"
              href={quickLinePath(boatId, material, knownBy === 'label' ? holdsN : null)}
            >
              Make it a rig: put this line and its reel on record
            </Link>
          )}
        </div>
      </Card>
    </div>
  );
}

function Pick<T extends string>({
  label,
  values,
  chosen,
  unit,
  onPick,
}: {
  label: string;
  values: readonly T[];
  chosen: T;
  unit: string;
  onPick: (value: T) => void;
}) {
  return (
    <fieldset>
      <legend className="text-sm font-semibold">{label}</legend>
      <div className="mt-1 flex flex-wrap gap-2">
        {values.map((value) => (
          <Button key={value} aria-pressed={value === chosen} onClick={() => onPick(value)}>
            {value}
            {unit}
          </Button>
        ))}
      </div>
    </fieldset>
  );
}
