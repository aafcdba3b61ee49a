import { useQuery } from '@tanstack/react-query';
import { api } from '../state/index.ts';

/** On the shop's own machine, while others can reach it: the code that lets a tablet in. */
export function PairingCode() {
  const pairing = useQuery({ queryKey: ['pairing'], queryFn: api.readPairing, retry: false });
  const code = pairing.data?.code;
  if (!code) return null;
  return (
    <p className="bench-pairing">
      Another device? Open{' '}
      <b>http://{window.location.port ? `this machine:${window.location.port}` : 'this machine'}</b> there and
      type <b className="bench-code">{code.replace(/(\d{3})(\d{3})/, '$1 $2')}</b>
    </p>
  );
}
