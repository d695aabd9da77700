import { addressesOf } from '../src/db/addresses.ts';

test('an address by itself, and with the other nodes of a cluster', () => {
  expect(addressesOf('mariadb://u:p@10.0.0.1/cradle')).toEqual({
    url: 'mariadb://u:p@10.0.0.1/cradle',
    addresses: [{ host: '10.0.0.1', port: 3306 }],
  });
  expect(addressesOf('mariadb://u:p@db-1:3307/cradle?also=db-2, 10.0.0.3:3308,[fd00::3]:3309')).toEqual({
    url: 'mariadb://u:p@db-1:3307/cradle',
    addresses: [
      { host: 'db-1', port: 3307 },
      { host: 'db-2', port: 3306 },
      { host: '10.0.0.3', port: 3308 },
      { host: 'fd00::3', port: 3309 },
    ],
  });
});

test.each(['db-2:70000', 'db 2', 'db-2:', 'mariadb://db-2', 'db-2:x'])('“%s” is no address, and is named', (also) => {
  expect(() => addressesOf(`mariadb://u:p@db-1/cradle?also=${encodeURIComponent(also)}`)).toThrow(`found “${also}”`);
});
