const MARK = '#let-in=';

/** What a link shown to the camera carries; taken out of the address, where it would be left lying. */
function takePass(): string | null {
  const { hash, pathname, search } = globalThis.location ?? {};
  if (!hash?.startsWith(MARK)) return null;
  history.replaceState(history.state, '', `${pathname}${search}`);
  return hash.slice(MARK.length);
}

/** Lets this device in without typing; null where the page was opened by its plain address. */
export const letInPass: string | null = takePass();
