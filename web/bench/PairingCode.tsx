import { lazy, Suspense, useState } from 'react';
import { useQuery } from '@tanstack/react-query';
import { plural } from '../../core/units/index.ts';
import { api } from '../state/index.ts';

const Devices = lazy(() => import('./Devices.tsx').then((module) => ({ default: module.Devices })));

/** On the shop's own machine, while others can reach it: how a tablet is let in, and which have been. */
export function PairingCode() {
  const pairing = useQuery({ queryKey: ['pairing'], queryFn: api.readPairing, retry: false });
  const [open, setOpen] = useState(false);
  const { code, devices = [] } = pairing.data ?? {};
  if (!code) return null;
  return (
    <p className="bench-pairing">
      <button type="button" className="plain-link" onClick={() => setOpen(true)}>
        Let another device in
      </button>
      {devices.length > 0 && <span> · {plural(devices.length, 'device')} let in</span>}
      {open && (
        <Suspense fallback={null}>
          <Devices onClose={() => setOpen(false)} />
        </Suspense>
      )}
    </p>
  );
}
