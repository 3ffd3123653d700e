/** Dates as a log has them, in the reader's own time zone: "4 Mar 2026, 10:05". */
const parts = (options: Intl.DateTimeFormatOptions): Intl.DateTimeFormat => new Intl.DateTimeFormat('en-GB', options);

const DAY: Intl.DateTimeFormatOptions = { day: 'numeric', month: 'short' };
const TIME: Intl.DateTimeFormatOptions = { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' };

const WITH_YEAR = parts({ ...DAY, year: 'numeric', ...TIME });
const WITHOUT_YEAR = parts({ ...DAY, ...TIME });
const LONG_DAY = parts({ day: 'numeric', month: 'long' });

export const whenWords = (at: string): string => WITH_YEAR.format(new Date(at));
export const shortWhenWords = (at: string): string => WITHOUT_YEAR.format(new Date(at));
export const dayWords = (at: string): string => LONG_DAY.format(new Date(at));
