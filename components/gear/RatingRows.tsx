'use client';

import { Plus, Trash2 } from 'lucide-react';
import { parseRating, ratingsIn, type ParsedRating } from '@/core/gear/parseRating';
import type { CapacityRating } from '@/core/gear/reelShape';
import { TextField } from '@/components/fields/TextField';
import { Button } from '@/components/ui/Button';
import { useUnits } from '@/components/units/UnitsProvider';
import type { Formatter } from '@/words/format';
import { useSay } from '@/components/units/useSay';

/** Ratings that can be read, or null while one of them cannot. Empty rows do not count; a row may hold a list. */
export function ratingsOf(texts: readonly string[]): readonly CapacityRating[] | null {
  const read = texts.flatMap(ratingsIn).map(parseRating);
  const good = read.flatMap((rating) =>
    rating.ok
      ? [{ label: rating.value.label, lineDiameterM: rating.value.lineDiameterM, lengthM: rating.value.lengthM }]
      : [],
  );
  return good.length === read.length ? good : null;
}

/** What a capacity is taken to mean, in the boat's own units. */
function readAs({ ofStrengthN, lineDiameterM, lengthM }: ParsedRating, format: Formatter): string {
  const of =
    ofStrengthN === null
      ? format.thickness(lineDiameterM)
      : `nylon of ${format.force(ofStrengthN)}, about ${format.thickness(lineDiameterM)} by guess`;
  return `${format.length(lengthM)} of ${of}`;
}

/** The maker's capacities, one a row, in whatever units they are printed. */
export function RatingRows({
  texts,
  onChange,
}: {
  texts: readonly string[];
  onChange: (texts: readonly string[]) => void;
}) {
  const { format } = useUnits();
  const say = useSay();
  return (
    <fieldset className="flex flex-col gap-2">
      <legend className="mb-1 text-sm font-semibold">
        The maker&apos;s capacities, any number, in any units. They stand in for what was not measured.
      </legend>
      <div className="grid gap-2 sm:grid-cols-3">
        {texts.map((text, index) => {
          const read = ratingsIn(text).map(parseRating);
          const bad = read.find((each) => !each.ok);
          return (
            // Rows have no other name than their place.
            <div key={index} className="flex items-start gap-1">
              <div className="grow">
                <TextField
                  label={`Capacity ${index + 1}`}
                  value={text}
                  figures
                  onChange={(next) => onChange(texts.with(index, next))}
                  error={bad ? say(bad) : undefined}
                  hint={
                    read.length > 0
                      ? read.flatMap((each) => (each.ok ? [readAs(each.value, format)] : [])).join('; ')
                      : 'such as 20/350 (lb and yd), 0.40/300 (mm and m), or a list of them'
                  }
                />
              </div>
              <button
                type="button"
                aria-label={`Take capacity ${index + 1} away`}
                onClick={() => onChange(texts.toSpliced(index, 1))}
                className="mt-6 grid size-11 place-items-center rounded-sm border border-edge-strong bg-card"
              >
                <Trash2 className="size-4" aria-hidden />
              </button>
            </div>
          );
        })}
      </div>
      <div>
        <Button disabled={texts.length >= 12} onClick={() => onChange([...texts, ''])}>
          <Plus className="size-4" aria-hidden /> Add a capacity
        </Button>
      </div>
    </fieldset>
  );
}
