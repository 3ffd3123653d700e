import Papa from 'papaparse';
import { readJson } from '../app/http/body';
import { isFromElsewhere } from '../app/http/doors';
import { refuseError } from '../app/http/refuse';
import { isBusyOrGone } from '../usecases/requests/trouble';
import { FORMULA } from '../components/cards/CardActions';
import { readUnitCookie } from '../components/units/unitCookie';
import { nameSchema, text, versionSchema } from '../usecases/inputs';

const URL_HERE = 'http://localhost:3000/api/boats';
const asked = (body: BodyInit | null, head: Record<string, string> = {}): Request =>
  new Request(URL_HERE, {
    method: 'POST',
    body,
    headers: { 'content-type': 'application/json', ...head },
    // @ts-expect-error a streamed body needs it, and the types do not know it yet
    duplex: 'half',
  });
const statusOf = async (request: Request): Promise<number> => {
  const read = await readJson(request);
  return 'refusal' in read ? read.refusal.status : 200;
};

describe('a body', () => {
  it('is JSON, by its type and by what it is', async () => {
    expect(await statusOf(asked('{"a":1}'))).toBe(200);
    expect(await statusOf(asked('{"a":1}', { 'content-type': 'application/json; charset=utf-8' }))).toBe(200);
    expect(await statusOf(asked('{"a":1}', { 'content-type': 'application/jsonp' }))).toBe(415);
    expect(await statusOf(asked('{"a":1}', { 'content-type': 'text/plain' }))).toBe(415);
    expect(await statusOf(asked('{"a":'))).toBe(400);
    expect(await statusOf(asked(new Uint8Array([0x22, 0xff, 0x22])))).toBe(400);
  });

  it('is counted while it streams, and cut off', async () => {
    let sent = 0;
    const endless = new ReadableStream<Uint8Array>({
      pull: (controller) => {
        sent += 1;
        controller.enqueue(new Uint8Array(64 * 1024));
      },
    });
    expect(await statusOf(asked(endless))).toBe(413);
    expect(sent).toBeLessThan(20);
  });

  it('is not waited for without end', async () => {
    jest.useFakeTimers();
    const never = new ReadableStream<Uint8Array>({ pull: () => new Promise(() => undefined) });
    const status = statusOf(asked(never));
    await jest.advanceTimersByTimeAsync(20_000);
    expect(await status).toBe(408);
    jest.useRealTimers();
  });
});

describe('a request from elsewhere', () => {
  const from = (head: Record<string, string>): boolean =>
    isFromElsewhere(new Request(URL_HERE, { headers: { host: 'localhost:3000', ...head } }));

  it.each([
    [{}, false],
    [{ origin: 'http://localhost:3000', 'sec-fetch-site': 'same-origin' }, false],
    [{ origin: 'https://localhost:3000' }, true],
    [{ origin: 'http://localhost:3001' }, true],
    [{ origin: 'null' }, true],
    [{ 'sec-fetch-site': 'cross-site' }, true],
    [{ 'sec-fetch-site': 'same-site' }, true],
    [{ 'sec-fetch-site': 'none' }, true],
  ])('%j is told: %s', (head, elsewhere) => {
    expect(from(head)).toBe(elsewhere);
  });
});

describe('an error', () => {
  const asked = new Request('http://localhost/api');

  it('says when to come back where the database is away or busy, and nothing of the inside otherwise', async () => {
    jest.spyOn(console, 'error').mockImplementation(() => undefined);
    for (const code of ['ECONNREFUSED', '57P01', '57P03', '53300', '55P03', '08006', '40P01']) {
      const answer = refuseError(asked, Object.assign(new Error('inside'), { code }));
      expect([code, answer.status, answer.headers.get('retry-after')]).toEqual([code, 503, '2']);
    }
    expect(isBusyOrGone(new Error('timeout exceeded when trying to connect'))).toBe(true);
    const odd = refuseError(asked, new Error('secret inside'));
    expect(odd.status).toBe(500);
    expect(await odd.text()).not.toContain('secret');
    expect(refuseError(asked, Object.assign(new Error(''), { code: 'constructor' })).status).toBe(500);
  });
});

describe('what a client names', () => {
  it('is never a property of every object', () => {
    expect(readUnitCookie('constructor.toString.__proto__')).toEqual(readUnitCookie(undefined));
  });

  it('has no control characters, no halves of characters, and no numbers that no column holds', () => {
    for (const odd of ['a\u0000b', '\u001b[2J', '\ud800', 'a\u0085b'])
      expect(nameSchema.safeParse(odd).success).toBe(false);
    expect(text(20).parse(' two\nlines ')).toBe('two\nlines');
    expect(nameSchema.parse('Kárí 🎣')).toBe('Kárí 🎣');
    expect(versionSchema.safeParse(2 ** 31).success).toBe(false);
  });
});

describe('a table for a spreadsheet', () => {
  it('has no formula in it, and keeps its numbers', () => {
    const rows = [['=HYPERLINK("x")', '+1-2', '-3.5', '@SUM', '12,5', 'Rod -1']];
    expect(Papa.unparse(rows, { escapeFormulae: FORMULA })).toBe(
      `"'=HYPERLINK(""x"")","'+1-2",-3.5,"'@SUM","12,5",Rod -1`,
    );
  });
});
