import { HANDLERS } from '../usecases/requests/handlers';
import { addressOf, ROUTES, type RequestRoute } from '../usecases/requests/routes';
import { SCHEMAS } from '../usecases/requests/schemas';
import { matchRequest } from '../app/http/match';

const all = Object.entries(ROUTES).map(([name, each]) => ({ name, ...(each as RequestRoute) }));

describe('every request that writes or works something', () => {
  it('is listed with the role that it asks', () => {
    const anyone = all.filter(({ role }) => role === 'anyone').map(({ method, path }) => `${method} ${path}`);
    expect(anyone.toSorted()).toEqual(['POST /api/boats', 'POST /api/practice']);
    for (const { role, path } of all)
      expect([path, role]).toEqual([path, path.includes(':boatId') ? 'crew' : 'anyone']);
    expect(all.length).toBeGreaterThanOrEqual(50);
  });

  it('has a handler, a schema, and a path of its own', () => {
    const names = all.map(({ name }) => name).toSorted();
    expect(Object.keys(HANDLERS).toSorted()).toEqual(names);
    expect(Object.keys(SCHEMAS).toSorted()).toEqual(names);
    expect(new Set(all.map(({ method, path }) => `${method} ${path}`)).size).toBe(all.length);
  });

  it('does not compile without a role', () => {
    // @ts-expect-error a role must be declared
    const without: RequestRoute = { method: 'POST', path: '/api/boats' };
    expect(without.role).toBeUndefined();
  });
});

describe('an address under /api', () => {
  const id = '0b5e1d7e-7f0e-4a55-9d2c-6a6ed1f2c0aa';

  it('finds its request, its parameters in one case', () => {
    const path = ['boats', id.toUpperCase(), 'rigs', id, 'stack'];
    expect(matchRequest('PUT', path)).toEqual({ name: 'saveStack', params: { boatId: id, rigId: id } });
  });

  it.each([
    [['boats', 'nothing', 'rigs']],
    [['boats', id, 'constructor']],
    [['__proto__']],
    [[]],
    [['boats', id, 'rigs', id, 'stack', 'more']],
    [['boats', `${id}\u0000`, 'rigs']],
  ])('finds nothing at %j', (path) => {
    expect(matchRequest('POST', path)).toEqual({ status: 404 });
  });

  it('is made of the same table by who sends it', () => {
    expect(addressOf('noteWinding', { boatId: 'b', rigId: 'r', loadId: 'l' })).toBe(
      '/api/boats/b/rigs/r/loads/l/winding',
    );
    expect(() => addressOf('saveStack', { boatId: 'b', rigId: '' })).toThrow(/rigId/);
  });

  it('says by which method it can be asked', () => {
    expect(matchRequest('POST', ['boats', id, 'rigs', id, 'stack'])).toEqual({ status: 405, allow: 'PUT' });
  });
});
