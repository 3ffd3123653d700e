import { withOwnRange, type OwnFigure } from '@/core/joins/ownFigures';
import { prepFigure, type PrepFigure } from '@/core/joins/prepFigures';
import type { LinesToJoin } from '@/core/joins/joinedLine';
import type { PrepFigureName } from '@/core/joins/schools';
import type { Reason } from '@/core/reasons';
import { formatQuantity, type Formatter } from '@/words/format';
import { FIGURE_NAMES } from '@/words/guide';

function shown(figure: PrepFigure, value: number, format: Formatter): string {
  if (figure.unit === 'count') return String(value);
  if (figure.unit === 'N') return format.force(value);
  const unit = format.units.smallLength;
  // Whole millimetres where nobody cuts finer.
  return formatQuantity(value, 'smallLength', unit, unit === 'mm' ? (value >= 0.02 ? 0 : 1) : value >= 0.02 ? 1 : 3);
}

/** A guide's figure for the lines at hand, in words; null where there is none. */
export function figureWords(
  name: PrepFigureName,
  lines: LinesToJoin,
  format: Formatter,
  say: (reason: Reason) => string,
  own: OwnFigure | null = null,
): string | null {
  const found = prepFigure(name, lines);
  const figure = found && withOwnRange(found, own);
  if (!figure) return null;
  const least = shown(figure, figure.least, format);
  const most = shown(figure, figure.most, format);
  return `${FIGURE_NAMES[name]}: ${least === most ? least : `${least} to ${most}`} (${own ? 'our own figure' : say(figure.why)})`;
}
