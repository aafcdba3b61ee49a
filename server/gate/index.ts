export { readCertificate } from './certificate.ts';
export { addressesOf, addressForOthers, addressOf, hostCheck, isLoopback } from './hosts.ts';
export { ownPagesOnly } from './origin.ts';
export { Pairing } from './pairing.ts';
export { gateRouter, type Gate } from './router.ts';
