'use client';

import { useMemo } from 'react';
import { readingsAt } from '@/core/rig/count/readingsAt';
import { coloursOut } from '@/core/rig/tow/towedRig';
import type { RigView } from '@/core/rig/view/rigView';
import { useUnits } from '@/components/units/UnitsProvider';

/** "142, lap 2", "3½ colours": by what the hand has. */
export function useStopWords(view: RigView, lengthOutM: number) {
  const { format } = useUnits();
  const reading = useMemo(() => readingsAt(view, [lengthOutM])[0], [view, lengthOutM]);
  const colours = useMemo(() => coloursOut(view, lengthOutM), [view, lengthOutM]);
  const lap = reading && reading.laps > 0 ? `, lap ${reading.laps + 1}` : '';
  if (reading?.isCounter)
    return { main: `${reading.shown}${lap}`, what: `± ${open(reading.plusMinus)} on the counter`, reading, colours };
  if (colours !== null && colours > 0)
    return { main: quarters(colours), what: colours === 1 ? 'colour out' : 'colours out', reading, colours };
  return { main: format.length(lengthOutM), what: 'of line out', reading, colours };
}

/** A ± in counts, whole from ten on. */
const open = (plusMinus: number): string => plusMinus.toFixed(plusMinus < 10 ? 1 : 0);

/** Colours to the quarter that an eye tells at the tip. */
function quarters(colours: number): string {
  const rounded = Math.round(4 * colours) / 4;
  const whole = Math.floor(rounded);
  const part = ['', '¼', '½', '¾'][Math.round(4 * (rounded - whole))] ?? '';
  return whole === 0 && part !== '' ? part : `${whole}${part}`;
}
