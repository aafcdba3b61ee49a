import { Segmented } from 'antd';
import { useEffect, useRef } from 'react';
import { SamplePanel, ShaftsPanel, StockPanel, useFace } from '../../arrival/index.ts';
import type { StationProps } from '../../panel/index.ts';
import { GearFields } from './GearFields.tsx';

const AT_HAND = { drawing: '', sample: 'The sample', blank: 'The piece', shafts: 'The two shafts' } as const;

/** The gear; where it did not come by a drawing, what was at hand first. */
export function GearPanel(props: StationProps<'gear'>) {
  const { part, job } = props;
  const { face, turn } = useFace(job.id, part);
  const { by } = part.arrival;
  const top = useRef<HTMLDivElement>(null);
  const shown = useRef(face);
  useEffect(() => {
    if (shown.current === face) return;
    shown.current = face;
    // the other side is read from its top, wherever the list was pressed
    top.current?.closest('.work-scroll')?.scrollTo(0, 0);
  }, [face]);
  if (by === 'drawing') return <GearFields {...props} />;
  return (
    <>
      <div ref={top} />
      <Segmented
        aria-label="What is shown"
        value={face}
        onChange={turn}
        options={[
          { value: 'hand', label: AT_HAND[by] },
          { value: 'gear', label: 'The gear from it' },
        ]}
      />
      {face === 'gear' ? (
        <GearFields {...props} />
      ) : by === 'sample' ? (
        <SamplePanel {...props} />
      ) : by === 'blank' ? (
        <StockPanel {...props} />
      ) : (
        <ShaftsPanel {...props} />
      )}
    </>
  );
}
