import { prepFigure, type LinesToJoin, type PrepFigure } from '@/core/joins/prepFigures';
import type { PrepFigureName } from '@/core/joins/schools';
import type { Formatter } from '@/components/units/format';

function shown(figure: PrepFigure, value: number, format: Formatter): string {
  if (figure.unit === 'count') return String(value);
  return figure.unit === 'N' ? format.force(value) : format.small(value);
}

/** A guide's figure for the lines at hand, in words; null where there is none. */
export function figureWords(name: PrepFigureName, lines: LinesToJoin, format: Formatter): string | null {
  const figure = prepFigure(name, lines);
  if (!figure) return null;
  const least = shown(figure, figure.least, format);
  const most = shown(figure, figure.most, format);
  return `${figure.name}: ${least === most ? least : `${least} to ${most}`} (${figure.why})`;
}
