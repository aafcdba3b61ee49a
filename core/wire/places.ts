import type { Place } from './call.ts';

/**
 * Where each thing is asked. The page needs no more than this to ask it: what a call takes and answers it has
 * from the types alone, so that no schema travels with its first screen.
 */
export const PLACES = {
  plan: { method: 'post', path: '/plan' },
  ways: { method: 'post', path: '/ways' },
  leads: { method: 'post', path: '/leads' },
  toBuy: { method: 'get', path: '/to-buy' },
  readShop: { method: 'get', path: '/shop' },
  saveShop: { method: 'put', path: '/shop' },
  listJobs: { method: 'get', path: '/jobs' },
  lastJob: { method: 'get', path: '/last-job' },
  importJob: { method: 'post', path: '/jobs/import', textBody: true },
  readJob: { method: 'get', path: '/jobs/{id}' },
  saveJob: { method: 'put', path: '/jobs/{id}' },
  changeJob: { method: 'patch', path: '/jobs/{id}' },
  duplicateJob: { method: 'post', path: '/jobs/{id}/duplicate' },
  exportJob: { method: 'get', path: '/jobs/{id}/export' },
  restoreKept: { method: 'post', path: '/kept/{id}/restore' },
  readFile: { method: 'get', path: '/jobs/{id}/files/{file}' },
  makeFile: { method: 'post', path: '/files/{file}' },
  startRun: { method: 'post', path: '/jobs/{id}/runs' },
  runsOf: { method: 'get', path: '/jobs/{id}/runs' },
  readRun: { method: 'get', path: '/runs/{id}' },
  readEvents: { method: 'get', path: '/runs/{id}/events' },
  appendEvents: { method: 'post', path: '/runs/{id}/events' },
  listPictures: { method: 'get', path: '/pictures' },
  addPicture: { method: 'put', path: '/pictures/{id}' },
  showPicture: { method: 'get', path: '/pictures/{id}' },
  changePicture: { method: 'patch', path: '/pictures/{id}' },
  listLog: { method: 'get', path: '/log' },
  readLog: { method: 'get', path: '/log/{id}' },
  backup: { method: 'get', path: '/backup' },
  restore: { method: 'post', path: '/restore', textBody: true },
  readPairing: { method: 'get', path: '/pairing' },
  pair: { method: 'post', path: '/pair' },
  renewPairing: { method: 'post', path: '/pairing/renew' },
  putOutDevice: { method: 'delete', path: '/pairing/devices/{id}' },
  forgetDevices: { method: 'delete', path: '/pairing/devices' },
  health: { method: 'get', path: '/health' },
} as const satisfies Readonly<Record<string, Place>>;
