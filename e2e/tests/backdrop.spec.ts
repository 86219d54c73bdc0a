import { png, pngFile as file } from '../support/png';
import { expect, ONCE, test } from '../support/test';

test(
  'a picture is laid under the shot, faded, hidden, locked, and calibrated by a line',
  ONCE,
  async ({ bench, page }) => {
    await bench.openShot({ name: 'Set' });
    await bench.readyShape('Line');
    await bench.group('Backdrop');
    const choose = async (...files: ReturnType<typeof file>[]): Promise<void> => {
      const chooser = page.waitForEvent('filechooser');
      await bench.press(/^(Choose pictures|Change pictures)$/);
      await (await chooser).setFiles(files);
    };
    await choose(file('set.png', png(320, 180)));
    const picture = page.getByTestId('backdrop');
    await expect(picture).toHaveAttribute('href', /\/api\/pictures\/[0-9a-f]{64}/);
    await expect(page.getByText('320 × 180')).toBeVisible();

    // What cannot be used says so and changes nothing.
    const href = await picture.getAttribute('href');
    await choose(file('torn.png', png(300, 200).subarray(0, 90)));
    await expect(page.getByText(/“torn.png”: This picture/)).toBeVisible();
    await choose(
      file(
        'bad.svg',
        Buffer.from(
          '<svg xmlns="http://www.w3.org/2000/svg" width="9" height="9"><script>document.title="run"</script></svg>',
        ),
        'image/svg+xml',
      ),
    );
    await expect(page.getByText(/“bad.svg”: This SVG has a script in it/)).toBeVisible();
    await choose(file('vast.png', png(10_000, 6_000)));
    await expect(page.getByText(/60 megapixels/)).toBeVisible();
    await expect(picture).toHaveAttribute('href', href!);
    expect(await page.title()).not.toBe('run');

    await bench.press('Hide');
    await expect(picture).toHaveCount(0);
    await bench.press('Show');
    await bench.press('Lock');
    await expect(page.getByRole('button', { name: 'Move by hand' })).toBeDisabled();
    await bench.press('Unlock');
    await bench.press('Move by hand');
    const before = (await picture.boundingBox())!;
    await bench.stroke([0.3, 0.3], [0.4, 0.4]);
    await expect.poll(async () => (await picture.boundingBox())!.x).toBeGreaterThan(before.x + 20);
    // Its grips size and turn it: the lower right corner, and the ring on top.
    await bench.undo();
    await bench.stroke([0.98, 0.96], [0.75, 0.75]);
    await expect.poll(() => bench.number('Width, units')).toBeLessThan(1500);
    await bench.undo();
    await bench.stroke([0.5, 0.08], [0.75, 0.2]);
    await expect.poll(() => bench.number('Turned by, °')).toBeGreaterThan(5);
    await bench.undo();
    await bench.press('Done');

    // A line over something of 10 cm, half the field wide.
    await bench.press('Set the scale');
    await bench.stroke([0.25, 0.7], [0.5, 0.7], [0.75, 0.7]);
    await expect(page.getByTestId('ruler-line').first()).toBeVisible();
    await page.getByRole('radio', { name: 'cm' }).click();
    await bench.type('Known length, cm', 10);
    await bench.press('Set this scale');
    await expect(page.getByText(/9\.[56]\d units per mm/)).toBeVisible();
    await bench.step('Sheet');
    await expect(page.getByRole('columnheader', { name: 'place mm' }).first()).toBeVisible();
    await bench.saved();
    await page.reload();
    await expect(picture).toHaveAttribute('href', href!);
  },
);

test('several files make a sequence that follows the playhead', ONCE, async ({ bench, page }) => {
  await bench.openShot({ name: 'Tide', length: 9 });
  await bench.readyShape('Line');
  await bench.group('Backdrop');
  const chooser = page.waitForEvent('filechooser');
  await bench.press('Choose pictures');
  await (
    await chooser
  ).setFiles([file('t10.png', png(40, 30)), file('t2.png', png(40, 20)), file('t1.png', png(40, 10))]);
  await expect(page.getByText('3 pictures')).toBeVisible();
  await bench.type('Frames for each picture', 3);
  const href = (): Promise<string | null> => page.getByTestId('backdrop').getAttribute('href');
  const first = await href();
  await bench.playback('Last frame');
  await expect.poll(href).not.toBe(first);
});

test(
  'a shot that comes without its pictures says so and keeps their place',
  ONCE,
  async ({ bench, page, request }) => {
    const demo = await (await request.get('/api/shots/demo-dropped-cork')).json();
    const { backdrop } = demo.shot;
    const lost = { ...backdrop, x: 700, pictures: [{ ...backdrop.pictures[0], sha256: 'a'.repeat(64) }] };
    const made = await request.post('/api/shots', { data: { shot: { ...demo.shot, backdrop: lost } } });
    await page.goto(`/shot/${(await made.json()).id}`);
    await bench.step('Arc');
    await bench.group('Backdrop');
    await expect(page.getByRole('alert')).toHaveText(/came without its pictures/);
    const chooser = page.waitForEvent('filechooser');
    await bench.press('Change pictures');
    await (await chooser).setFiles([file('again.png', png(64, 36))]);
    await expect(page.getByRole('alert')).toHaveCount(0);
    await expect
      .poll(() => bench.number('Middle, across, mm'))
      .toBeCloseTo(700 / demo.shot.field.unitsPerMm, 1);
  },
);
