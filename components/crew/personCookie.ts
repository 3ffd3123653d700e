/** Who is at the bench on this device: noted beside every measurement, until somebody else is chosen. */
export const PERSON_COOKIE = 'person';
