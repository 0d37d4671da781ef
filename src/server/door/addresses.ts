import { hostname, networkInterfaces } from 'node:os';

/** The addresses of this machine in the house's network, IPv4. */
export const houseAddresses = (): string[] =>
  Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter((a) => a.family === 'IPv4' && !a.internal)
    .map((a) => a.address);

/** All names by which the door may be called: a name that points here from elsewhere is none. */
export const houseNames = (): string[] => [
  ...houseAddresses(),
  '127.0.0.1',
  'localhost',
  hostname().toLowerCase(),
  `${hostname().toLowerCase()}.local`,
];
