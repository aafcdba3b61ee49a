import { select } from 'd3-selection';
import { zoom, zoomIdentity, type D3ZoomEvent, type ZoomBehavior } from 'd3-zoom';
import { useEffect, useRef, useState, type ReactNode } from 'react';
import './zoom.css';

/** How many times as large as it stands. */
const MOST = 12;
const STEP = 1.6;

/**
 * Does this gesture make it larger or move it? A finger alone scrolls the page while all of it is in sight.
 */
function isForZoom(event: Event, sheet: HTMLElement, zoomed: boolean): boolean {
  if (event.target instanceof Element && event.target.closest('button, a, input, label, summary'))
    return false;
  // the wheel scrolls a sheet that is too long, and makes it larger from its top
  if (event instanceof WheelEvent)
    return event.ctrlKey || zoomed || (event.deltaY < 0 && sheet.scrollTop <= 0);
  if (typeof TouchEvent !== 'undefined' && event instanceof TouchEvent)
    return event.touches.length > 1 || zoomed;
  return zoomed;
}

/**
 * The drawings of a station: made larger by wheel, pinch or a press, moved by dragging, whole again by a
 * press.
 * @param below what stands under them and is never moved
 */
export function ZoomSheet({ children, below }: { readonly children: ReactNode; readonly below: ReactNode }) {
  const sheet = useRef<HTMLDivElement>(null);
  const drawn = useRef<HTMLDivElement>(null);
  const zooming = useRef<ZoomBehavior<HTMLDivElement, unknown> | null>(null);
  const [times, setTimes] = useState(1);
  useEffect(() => {
    const [at, moved] = [sheet.current, drawn.current];
    if (!at || !moved) return;
    let now = 1;
    const behaviour = zoom<HTMLDivElement, unknown>()
      .scaleExtent([1, MOST])
      .filter((event: Event) => isForZoom(event, at, now > 1))
      .on('start', () =>
        behaviour.translateExtent([
          [0, 0],
          [at.clientWidth, at.clientHeight],
        ]),
      )
      .on('zoom', ({ transform }: D3ZoomEvent<HTMLDivElement, unknown>) => {
        now = transform.k;
        moved.style.transform =
          now === 1 ? '' : `translate(${transform.x}px, ${transform.y}px) scale(${transform.k})`;
        setTimes(transform.k);
      });
    zooming.current = behaviour;
    select(at).call(behaviour).on('dblclick.zoom', null);
    return () => void select(at).on('.zoom', null);
  }, []);
  const by = (factor: number) =>
    sheet.current && zooming.current && select(sheet.current).call(zooming.current.scaleBy, factor);
  const whole = () =>
    sheet.current && zooming.current && select(sheet.current).call(zooming.current.transform, zoomIdentity);
  return (
    <div className={`scribe-sheet${times > 1 ? ' is-zoomed' : ''}`} tabIndex={0} ref={sheet}>
      <div className="scribe-drawn" ref={drawn}>
        {children}
      </div>
      <div className="scribe-below">
        {below}
        <p className="scribe-larger">
          <button type="button" className="plain-link" onClick={() => by(STEP)} disabled={times >= MOST}>
            Larger
          </button>
          {times > 1 && (
            <button type="button" className="plain-link" onClick={whole}>
              All of it
            </button>
          )}
        </p>
      </div>
    </div>
  );
}
