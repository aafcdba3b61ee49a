/**
 * Several pictures on one sheet, each with its caption.
 * @param tiles caption and PNG of each @param file where it goes @param across how many stand in a row
 * @param width of one, px
 */
export async function montage(browser, tiles, { file, across, width }) {
  const page = await browser.newPage();
  await page.setViewport({ width: across * (width + 16) + 16, height: 600 });
  const figures = tiles.map(
    ({ caption, png }) =>
      `<figure><img src="data:image/png;base64,${png.toString('base64')}"><figcaption>${caption}</figcaption></figure>`,
  );
  await page.setContent(`<style>
    body { margin: 8px; background: #fff; font: 20px/1.4 sans-serif; color: #222;
      display: grid; grid-template-columns: repeat(${across}, ${width}px); gap: 16px; }
    figure { margin: 0; } img { width: 100%; display: block; }
  </style>${figures.join('')}`);
  await page.evaluate(() => Promise.all([...document.images].map((image) => image.decode())));
  await page.screenshot({ path: file, fullPage: true });
  await page.close();
}
