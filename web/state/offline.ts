/** Browsers let only a page that came by HTTPS open without its server. */
export const opensWithoutServer = (): boolean =>
  globalThis.location?.protocol === 'https:' && 'serviceWorker' in navigator;
