import { expect, test } from '@jest/globals';
import { writeFileSync } from 'node:fs';
import path from 'node:path';
import type { Picture } from '../core/wire/index.ts';
import { journeysIn } from './journeys.ts';
import type { Person } from './person.ts';

const place = journeysIn('demo');

const picturesOf = async (about: string): Promise<readonly Picture[]> =>
  (await place.workshop.ask<{ pictures: Picture[] }>('GET', `/pictures?about=${encodeURIComponent(about)}`))
    .pictures;

/**
 * Puts a photo into the field as a camera leaves it: lying, twice as wide as high and red at its left, with a
 * mark that says it is to be turned a quarter clockwise.
 */
const takesPhoto = (person: Person) =>
  person.page.evaluate(async () => {
    const canvas = document.createElement('canvas');
    Object.assign(canvas, { width: 2400, height: 1200 });
    const pen = canvas.getContext('2d')!;
    pen.fillStyle = '#00f';
    pen.fillRect(0, 0, 2400, 1200);
    pen.fillStyle = '#f00';
    pen.fillRect(0, 0, 1200, 1200);
    const blob = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', 0.9));
    const jpeg = new Uint8Array(await blob!.arrayBuffer());
    // a segment with one entry, orientation 6, behind the first marker
    const tiff = [0x4d, 0x4d, 0, 42, 0, 0, 0, 8, 0, 1, 1, 0x12, 0, 3, 0, 0, 0, 1, 0, 6, 0, 0, 0, 0, 0, 0];
    const exif = [0x45, 0x78, 0x69, 0x66, 0, 0, ...tiff];
    const mark = [0xff, 0xe1, 0, exif.length + 2, ...exif];
    const photo = new File([jpeg.slice(0, 2), new Uint8Array(mark), jpeg.slice(2)], 'worn.jpg', {
      type: 'image/jpeg',
    });
    const held = new DataTransfer();
    held.items.add(photo);
    const field = document.querySelector<HTMLInputElement>('.pictures input[type=file]')!;
    field.files = held.files;
    field.dispatchEvent(new Event('change', { bubbles: true }));
  });

test('a photo is put with a station, upright and made smaller; seen large, on paper, taken away and put back', async () => {
  const person = await place.sitDown();
  await person.goTo('/jobs/demo-pump-gear/p1/gear');
  await person.opens('Put a picture with it');
  await takesPhoto(person);
  await person.sees('Pictures: 1');
  const [kept] = await picturesOf('job/demo-pump-gear/p1/gear');
  // turned a quarter it stands, and its longer side is 1600
  expect([kept!.width, kept!.height]).toEqual([800, 1600]);
  const colours = await person.page.evaluate(async (id) => {
    const bitmap = await createImageBitmap(await (await fetch(`/api/pictures/${id}`)).blob());
    const canvas = document.createElement('canvas');
    Object.assign(canvas, { width: bitmap.width, height: bitmap.height });
    const pen = canvas.getContext('2d')!;
    pen.drawImage(bitmap, 0, 0);
    const at = (x: number, y: number) => [...pen.getImageData(x, y, 1, 1).data].slice(0, 3);
    return { top: at(400, 100), bottom: at(400, 1500) };
  }, kept!.id);
  // what lay at the left stands on top
  expect(colours.top[0]).toBeGreaterThan(200);
  expect(colours.bottom[2]).toBeGreaterThan(200);

  await person.press('Picture 1 of Gear');
  await person.types('Words to it', 'worn on one flank');
  await person.pressButton('Close');
  await person.goTo('/jobs/demo-pump-gear/print');
  await person.sees('worn on one flank');
  await person.goTo('/jobs/demo-pump-gear/p1/blank');
  await person.sees('Put a picture with it');
  await person.pressButton('Pictures: 1');
  await person.press('worn on one flank');
  await person.pressButton('Take it away');
  await person.sees('The picture is taken away.');
  expect(await picturesOf('job/demo-pump-gear')).toEqual([]);
  await person.pressButton('Put it back');
  await person.sees('Pictures: 1');
  expect(person.faults).toEqual([]);
});

test('what is no picture is told so, and a server that is away loses nothing', async () => {
  const person = await place.sitDown();
  await person.goTo('/shop/heads');
  await person.sees('Add a picture');
  const field = await person.page.$('.pictures input[type=file]');
  const text = path.join(place.workshop.folder, 'none.jpg');
  writeFileSync(text, 'no picture');
  await (field as unknown as { uploadFile(file: string): Promise<void> }).uploadFile(text);
  await person.sees('Not kept: none.jpg is no picture that this browser can read. Take a JPEG or PNG.');
  await person.page.setOfflineMode(true);
  await takesPhoto(person);
  await person.sees('Not kept: Vuelta’s server is not answering.');
  await person.page.setOfflineMode(false);
  await person.pressButton('Try again');
  await person.page.waitForSelector('.pictures img');
  expect(await picturesOf('shop/head-three-plates')).toHaveLength(1);
});

test('a picture taken at the mill stands with its run in the logbook', async () => {
  const person = await place.sitDown();
  await person.goTo('/runs/run-demo-lens-second');
  await person.sees('Tooth space 41 cut');
  await person.key('n');
  await person.sees('Add a picture');
  await takesPhoto(person);
  await person.page.waitForSelector('.pictures img');
  expect((await picturesOf('run/run-demo-lens-second')).map(({ about }) => about)).toEqual([
    'run/run-demo-lens-second/1-41',
  ]);
  await person.goTo('/log/run-demo-lens-second');
  await person.page.waitForSelector('.run-page .pictures img');
  expect(person.faults).toEqual([]);
});
