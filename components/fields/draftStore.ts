import { deviceText, keepDeviceText } from '@/components/ui/deviceStore';
import type { Specs } from './specs';

/** Raised when drafts are kept in another way; older ones are then left alone and never read. */
const VERSION = 1;
const PREFIX = `form ${VERSION}:`;

/** What was typed and not yet stored, field by field; a field that has another shape by now is left out. */
export function readDraft(key: string, specs: Specs): Readonly<Record<string, unknown>> {
  const text = deviceText(PREFIX + key);
  if (text === null) return {};
  try {
    const kept: unknown = JSON.parse(text);
    if (typeof kept !== 'object' || kept === null) return {};
    return Object.fromEntries(Object.entries(kept).filter(([name, raw]) => specs[name]?.isRaw(raw)));
  } catch {
    return {};
  }
}

/** Keeps what differs from what stood there at first; null forgets it. */
export function keepDraft(
  key: string,
  values: Readonly<Record<string, unknown>> | null,
  fresh: Readonly<Record<string, unknown>>,
): void {
  const typed = Object.entries(values ?? {}).filter(
    ([name, raw]) => raw !== undefined && JSON.stringify(raw) !== JSON.stringify(fresh[name]),
  );
  keepDeviceText(PREFIX + key, typed.length === 0 ? null : JSON.stringify(Object.fromEntries(typed)));
}
