/** @jest-environment jsdom */
import { expect, test } from '@jest/globals';
import { drawingText } from './drawingFile.ts';

const drawn = (): SVGSVGElement => {
  document.body.innerHTML = `<style>.line { stroke: rgb(1, 2, 3); fill: none; } text { font-size: 12px; }</style>
    <div><svg viewBox="-10 -5 200 100" class="sheet"><path class="line" d="M0 0L9 9"/><text x="3">27 &amp; 24</text></svg></div>`;
  return document.querySelector('svg')!;
};

test('a drawing carries its looks with it, stands on its ground, and is a file that can be read', () => {
  const text = drawingText(drawn(), 'rgb(30, 36, 90)');
  const read = new DOMParser().parseFromString(text, 'image/svg+xml');
  expect(read.querySelector('parsererror')).toBeNull();
  const svg = read.documentElement;
  expect([svg.namespaceURI, svg.getAttribute('width'), svg.getAttribute('height')]).toEqual([
    'http://www.w3.org/2000/svg',
    '200',
    '100',
  ]);
  const ground = svg.firstElementChild!;
  expect([
    ground.tagName,
    ground.getAttribute('x'),
    ground.getAttribute('width'),
    ground.getAttribute('fill'),
  ]).toEqual(['rect', '-10', '200', 'rgb(30, 36, 90)']);
  const path = read.querySelector('path')!;
  expect([path.getAttribute('stroke'), path.getAttribute('fill'), path.hasAttribute('class')]).toEqual([
    'rgb(1, 2, 3)',
    'none',
    false,
  ]);
  expect(read.querySelector('text')!.textContent).toBe('27 & 24');
});

test('the drawing on the page stays as it was', () => {
  const drawing = drawn();
  const before = drawing.outerHTML;
  drawingText(drawing, 'white');
  expect(drawing.outerHTML).toBe(before);
});
