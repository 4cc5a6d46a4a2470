import { describe, expect, it } from 'vitest';
import { isHostAllowed } from './hosts';

describe('the names that Chiral answers under', () => {
  it.each(['localhost', 'localhost:4321', 'LOCALHOST:4321', '127.0.0.1:4321', '[::1]:4321', '[::1]'])('%s', (host) =>
    expect(isHostAllowed(host, {})).toBe(true),
  );

  it.each([
    'elsewhere.example',
    'elsewhere.example:4321',
    'localhost.elsewhere.example:4321',
    '127.0.0.1.elsewhere.example',
    '192.168.1.20:4321',
    '',
  ])('not %j, where nobody named it', (host) => expect(isHostAllowed(host, {})).toBe(false));

  it('not a request that names none', () => expect(isHostAllowed(null, {})).toBe(false));

  it('those that it was started with', () => {
    const environment = { HOST: '192.168.1.20', CHIRAL_HOSTS: 'bench.lan, shop.lan:4321' };
    for (const host of ['192.168.1.20:4321', 'bench.lan:4321', 'shop.lan', 'localhost'])
      expect(isHostAllowed(host, environment)).toBe(true);
    expect(isHostAllowed('other.lan', environment)).toBe(false);
  });

  it('any address where it listens to all, but no name', () => {
    expect(isHostAllowed('10.0.0.7:4321', { HOST: '0.0.0.0' })).toBe(true);
    expect(isHostAllowed('[fe80::1]:4321', { HOST: '::' })).toBe(true);
    expect(isHostAllowed('elsewhere.example', { HOST: '0.0.0.0' })).toBe(false);
  });
});
