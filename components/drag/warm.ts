/** Where it is kept that the drag was warm when its session began: no warm-up pulls are asked for then. */
export const warmKey = (settingId: string): string => `warm:${settingId}`;
