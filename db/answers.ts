import { database } from './pool';

/** True when the database takes a statement now: it is there, and not all of its connections are in use for long. */
export async function databaseAnswers(): Promise<boolean> {
  try {
    await database().query('SELECT 1');
    return true;
  } catch {
    return false;
  }
}
