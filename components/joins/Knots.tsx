'use client';

import { Link } from '@/components/ui/Link';
import { useState } from 'react';
import { DEFAULT_EFFICIENCY_SD, JOIN_KIND_NAMES, JOIN_KINDS, type JoinKind } from '@/core/joins/joinKinds';
import { PLUS_MINUS_SDS } from '@/core/numerics/propagate';
import { schoolsOf } from '@/core/joins/schools';
import { ChoiceField } from '@/components/fields/TextField';
import { knotsPath } from '@/components/shell/paths';
import { Button } from '@/components/ui/Button';
import { Card, Caution } from '@/components/ui/Card';
import { useUnits } from '@/components/units/UnitsProvider';
import { CAUTIONS, SCHOOL_SOURCES, stepWords } from '@/words/guide';
import { SCHOOL_NAMES } from '@/words/hands';
import { GuideDrawing } from './drawing/GuideDrawing';
import { countWords } from './stepCount';

/** Every way to join, each step of the open one drawn: for looking things up, with no rod and no line at hand. */
export function Knots({ boatId, kind }: { boatId: string; kind: JoinKind }) {
  const { format } = useUnits();
  const schools = schoolsOf(kind);
  const [schoolId, setSchoolId] = useState(schools[0]?.id);
  const [at, setAt] = useState(0);
  const school = schools.find(({ id }) => id === schoolId);
  if (!school) return null;
  const { name, alsoKnownAs, efficiency, makes } = JOIN_KINDS[kind];
  const step = school.steps[Math.min(at, school.steps.length - 1)];
  return (
    <div className="grid gap-4 lg:grid-cols-[1fr_3fr]">
      <nav aria-label="Knots" className="order-last lg:order-none">
        <ul className="grid gap-1 sm:grid-cols-2 lg:grid-cols-1">
          {JOIN_KIND_NAMES.map((each) => (
            <li key={each}>
              <Link
                href={knotsPath(boatId, each)}
                aria-current={each === kind ? 'page' : undefined}
                className="flex min-h-11 items-center border-l-4 border-rule px-3 aria-[current=page]:border-chalk aria-[current=page]:bg-card aria-[current=page]:font-semibold"
              >
                {JOIN_KINDS[each].name}
              </Link>
            </li>
          ))}
        </ul>
      </nav>
      <Card title={name}>
        <p className="mb-3 text-sm">
          Also known as {alsoKnownAs.join(', ')}. Keeps{' '}
          <b className="figures">
            {format.percent(efficiency)} ± {format.percent(PLUS_MINUS_SDS * DEFAULT_EFFICIENCY_SD)}
          </b>{' '}
          of {makes === 'end' ? 'its line' : 'the weaker line'}: a default. What this boat’s own pulls tell stands on
          the Joins page of a rod.
        </p>
        {schools.length > 1 && (
          <div className="mb-3 max-w-96">
            <ChoiceField
              label="School"
              value={school.id}
              options={schools.map(({ id }) => ({ value: id, text: SCHOOL_NAMES[id] }))}
              onChange={(id) => {
                setSchoolId(id);
                setAt(0);
              }}
              hint={SCHOOL_SOURCES[school.source]}
            />
          </div>
        )}
        <GuideDrawing
          school={school}
          done={school.steps.slice(0, at).map(({ id }) => id)}
          hand="right"
          wordsOf={(each) => `${stepWords(each.says, format)}${countWords(each)}`}
        />
        <div className="mb-3 flex gap-2">
          <Button disabled={at === 0} onClick={() => setAt(at - 1)}>
            Step back
          </Button>
          <Button weight="main" disabled={at >= school.steps.length - 1} onClick={() => setAt(at + 1)}>
            Next step
          </Button>
        </div>
        <ol className="flex list-decimal flex-col gap-1 pl-6">
          {school.steps.map((each, index) => (
            <li
              key={each.id}
              aria-current={index === at ? 'step' : undefined}
              className="aria-[current=step]:font-semibold"
            >
              <button type="button" className="min-h-11 text-left align-top" onClick={() => setAt(index)}>
                {stepWords(each.says, format)}
                {countWords(each)}
              </button>
            </li>
          ))}
        </ol>
        {step?.caution && <Caution>{CAUTIONS[step.caution]}</Caution>}
        <p className="mt-3 text-sm text-ink-soft">
          Lengths and pulls are worked out on the Joins page of a rod, for its very lines.
        </p>
      </Card>
    </div>
  );
}
