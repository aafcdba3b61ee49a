import { useRef, useState } from 'react';
import { fileNameOf } from '../../core/job/index.ts';
import { saveText } from '../frame/index.ts';
import { drawingText, pictureOf } from './drawingFile.ts';
import './save.css';

/** Saves the drawings of the sheet it stands on, each as a file of its own. @param name what they are of */
export function SaveDrawing({ name }: { readonly name: string }) {
  const here = useRef<HTMLParagraphElement>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const save = async (as: 'svg' | 'png') => {
    setFailed(null);
    const sheet = here.current?.closest('.scribe-sheet');
    const drawings = [...(sheet?.querySelectorAll<SVGSVGElement>('svg[viewBox]') ?? [])];
    const ground = sheet ? getComputedStyle(sheet.closest('.scribe') ?? sheet).backgroundColor : '';
    try {
      for (const [i, drawing] of drawings.entries()) {
        const text = drawingText(drawing, ground);
        const called = `${fileNameOf(name, 'drawing')}${drawings.length > 1 ? `-${i + 1}` : ''}.${as}`;
        if (as === 'svg') saveText(called, text, 'image/svg+xml');
        else saveText(called, await pictureOf(text), 'image/png');
      }
    } catch (error) {
      setFailed((error as Error).message);
    }
  };
  return (
    <p className="scribe-save" ref={here}>
      Save the drawing:{' '}
      <button type="button" className="plain-link" onClick={() => void save('svg')}>
        SVG
      </button>{' '}
      <button type="button" className="plain-link" onClick={() => void save('png')}>
        PNG
      </button>
      {failed && <span role="alert"> {failed}</span>}
    </p>
  );
}
