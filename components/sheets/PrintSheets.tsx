'use client';

import type { RigRecord } from '@/core/record/record';
import { Button } from '@/components/ui/Button';
import { RunSheetPage } from './RunSheetPage';

/** Run sheets to print, one load a page. */
export function PrintSheets({ records }: { records: readonly RigRecord[] }) {
  return (
    <div className="flex flex-col gap-4 print:block">
      <div className="no-print flex flex-wrap items-center gap-3">
        <Button weight="main" onClick={() => window.print()}>
          Print, or keep as PDF
        </Button>
        <p className="text-sm text-ink-soft">One load a page. The code opens its winding on another device.</p>
      </div>
      {records.map((record) => (
        <RunSheetPage key={record.id} record={record} />
      ))}
    </div>
  );
}
