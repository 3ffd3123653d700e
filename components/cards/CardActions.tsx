'use client';

import Papa from 'papaparse';
import type { RefObject } from 'react';
import { Button } from '@/components/ui/Button';

/** Hands a text to the browser as a file. */
function saveAs(name: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob([text], { type }));
  const link = document.createElement('a');
  link.href = url;
  link.download = name;
  link.click();
  URL.revokeObjectURL(url);
}

/** What a spreadsheet would reckon with instead of showing it; a plain number is none. */
export const FORMULA = /^(?!-?[\d.,]+$)[=+\-@\t\r]/;

/** What can be done with a card: print it (or as PDF), keep the drawing, keep the figures. */
export function CardActions({
  sheet,
  name,
  heads,
  rows,
}: {
  sheet: RefObject<SVGSVGElement | null>;
  name: string;
  heads: readonly string[];
  rows: readonly (readonly string[])[];
}) {
  const file = name.replaceAll(/[^\p{L}\p{N}]+/gu, '-').toLowerCase();
  return (
    <div className="no-print flex flex-wrap gap-2">
      <Button weight="main" onClick={() => window.print()}>
        Print, or keep as PDF
      </Button>
      <Button
        onClick={() =>
          sheet.current && saveAs(`${file}.svg`, 'image/svg+xml', new XMLSerializer().serializeToString(sheet.current))
        }
      >
        Keep as SVG
      </Button>
      <Button
        onClick={() =>
          saveAs(
            `${file}.csv`,
            'text/csv',
            Papa.unparse({ fields: [...heads], data: rows.map((row) => [...row]) }, { escapeFormulae: FORMULA }),
          )
        }
      >
        Keep as CSV
      </Button>
    </div>
  );
}
