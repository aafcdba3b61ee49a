import { useEffect, useRef } from 'react';
import { plural } from '../../core/units/index.ts';

/** The rest of a long list: asked for when its foot comes into sight, or by a press. */
export function NextPage({
  left,
  of,
  busy,
  onAsk,
}: {
  readonly left: number;
  /** In the singular: `more job`. */
  readonly of: string;
  readonly busy: boolean;
  readonly onAsk: () => void;
}) {
  const foot = useRef<HTMLButtonElement>(null);
  const ask = useRef(onAsk);
  useEffect(() => {
    ask.current = onAsk;
  });
  useEffect(() => {
    if (!foot.current || busy) return;
    const seen = new IntersectionObserver((entries) => {
      if (entries.some(({ isIntersecting }) => isIntersecting)) ask.current();
    });
    seen.observe(foot.current);
    return () => seen.disconnect();
  }, [busy, left]);
  return (
    <button type="button" className="plain-button" ref={foot} onClick={onAsk}>
      {busy ? '…' : `${plural(left, of)}`}
    </button>
  );
}
