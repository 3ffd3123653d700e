'use client';

import type { RefObject } from 'react';
import { Button } from '@/components/ui/Button';
import { fetched } from '@/components/ui/fetched';

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

/** The table as a file of values; what writes it is loaded when it is asked for. */
async function saveTable(file: string, heads: readonly string[], rows: readonly (readonly string[])[]): Promise<void> {
  const { default: Papa } = await fetched(() => import('papaparse'));
  const table = { fields: [...heads], data: rows.map((row) => [...row]) };
  saveAs(`${file}.csv`, 'text/csv', Papa.unparse(table, { escapeFormulae: FORMULA }));
}

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
      <Button onClick={() => void saveTable(file, heads, rows)}>Keep as CSV</Button>
    </div>
  );
}
