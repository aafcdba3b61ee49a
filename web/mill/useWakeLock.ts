import { useEffect, useState } from 'react';

/** Held; let go by the browser; not offered, as on a page over plain HTTP. */
export type WakeLockState = 'on' | 'off' | 'none';

/** Keeps the screen lit while this page is in front, where the browser allows it. */
export function useWakeLock(): WakeLockState {
  const offered = 'wakeLock' in navigator;
  const [held, setHeld] = useState(false);
  useEffect(() => {
    if (!offered) return;
    let lock: WakeLockSentinel | null = null;
    let gone = false;
    const take = async () => {
      if (document.visibilityState !== 'visible') return;
      try {
        lock = await navigator.wakeLock.request('screen');
        if (gone) return void lock.release();
        setHeld(true);
        lock.addEventListener('release', () => setHeld(false));
      } catch {
        setHeld(false);
      }
    };
    const again = () => void take();
    again();
    document.addEventListener('visibilitychange', again);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release().catch(() => undefined);
    };
  }, [offered]);
  if (!offered) return 'none';
  return held ? 'on' : 'off';
}
