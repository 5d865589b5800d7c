import { readFileSync } from 'node:fs';
import { PGlite } from '@electric-sql/pglite';
import type { Page } from '@playwright/test';
import { newTake, type ShotPlan, type Take } from '@still-heron/core';
import { otioProblems, otioSchemas } from '../packages/core/test/otioChecker';
import { expect, type Heron, test } from './heron';

/** Two takes with everything that is hard to write: quotes, commas, lines, other letters, a formula, and every kind of span. */
async function shotWithTakes(heron: Heron) {
  const { shotId } = await heron.openCopy('4B');
  const { plan, version } = await heron.api<{ plan: ShotPlan; version: number }>('get', `shots/${shotId}`);
  const fresh = newTake(plan, version);
  const first: Take = {
    ...fresh,
    durationS: 12,
    focus: 'usable',
    performance: 'good',
    startTimecode: '10:00:00:00',
    timecodeFrom: 'slate',
    note: 'she said “now”, "then"; ran\nтуда и обратно, ξανά',
    gear: { ...fresh.gear, puller: '=HYPERLINK("x")' },
    usable: [{ fromS: 0, toS: 4.5 }],
    focusChecks: [{ fromS: 5, toS: 5.8 }],
    recoveries: [{ fromS: 6, toS: 7, said: 'gentle', measured: null }],
    findings: [{ at: { kind: 'time', timeS: 8.25 }, found: 'camera-jumped' }],
    cues: plan.focusTrack.pulls.map(({ id, startS }) => ({ pullId: id, timeS: startS })),
    hits: plan.focusTrack.pulls.map(({ id }) => ({
      ...{ pullId: id, said: 'late' as const, measured: null, lateS: null, landsLateS: null, offDeg: null },
      turn: null,
    })),
  };
  const second: Take = { ...fresh, durationS: 3, isNoGood: true };
  for (const [minute, take] of [first, second].entries())
    await heron.api('post', `shots/${shotId}/takes`, { rolledAt: `2026-03-01T10:0${minute}:00.000Z`, take });
  await heron.page.keyboard.press('7');
  await expect(heron.page.getByRole('list', { name: 'Takes, the latest first' }).locator('> li')).toHaveCount(2);
  return { plan, first };
}

async function exported(page: Page, name: string): Promise<string> {
  const [download] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name, exact: true }).click()]);
  return readFileSync(await download.path(), 'utf8');
}

test('CSV is read by a database, one fact a column', async ({ heron, page }) => {
  const { plan, first } = await shotWithTakes(heron);
  const db = new PGlite();
  const read = async (text: string) => {
    // the mark at the beginning is for spreadsheets, and no heading holds a comma or a quote that is not told apart
    const [head] = text.replace(/^\uFEFF/, '').split('\r\n', 1);
    const names = head!.match(/"(?:[^"]|"")*"|[^,]+/g)!.map((name) => name.replace(/^"|"$/g, '').replaceAll('""', '"'));
    await db.exec(`drop table if exists sheet; create table sheet (${names.map((name) => `"${name}" text`).join(', ')})`);
    await db.query(`copy sheet from '/dev/blob' with (format csv, header true, encoding 'utf8')`, [], { blob: new Blob([text]) });
    return (await db.query<Record<string, string | null>>('select * from sheet')).rows;
  };
  const takes = await read(await exported(page, 'CSV'));
  expect(takes).toHaveLength(2);
  expect(takes[0]).toMatchObject({
    slate: '4B',
    take: '1',
    date: '2026-03-01',
    'time UTC': '10:00',
    focus: 'usable',
    performance: 'good',
    note: first.note,
    // a spreadsheet must not compute it
    'pulled by': `'${first.gear.puller}`,
    use: '10:00:00:00 – 10:00:04:12',
    'cut out': '10:00:05:00 – 10:00:05:19',
    'lost and back': '10:00:06:00 – 10:00:07:00, gentle',
    timecode: '10:00:00:00',
    'timecode from': 'from the slate',
  });
  expect(takes[0]!['faults']).toContain('camera jumped');
  expect(takes[1]).toMatchObject({ take: '2', 'no good': 'yes', focus: 'not said' });
  const pulls = await read(await exported(page, 'CSV by pull'));
  expect(pulls).toHaveLength(plan.focusTrack.pulls.length);
  expect(pulls[0]).toMatchObject({ take: '1', 'hit, as said': 'late', 'turned °': null });
  // no cell is JSON
  const cells = [...takes, ...pulls].flatMap((row) => Object.values(row));
  expect(cells.filter((cell) => cell !== null && /^[[{]/.test(cell))).toEqual([]);
  await db.close();
});

test('WebVTT is read by a browser: takes, spans, faults and recoveries at their times', async ({ heron, page }) => {
  const { plan } = await shotWithTakes(heron);
  const text = await exported(page, 'WebVTT');
  // the page itself may load no media; one without anything may
  const blank = await page.context().newPage();
  const cues = await blank.evaluate(
    (vtt) =>
      new Promise<{ from: number; to: number; text: string }[]>((done, failed) => {
        const video = document.createElement('video');
        const track = document.createElement('track');
        track.src = URL.createObjectURL(new Blob([vtt], { type: 'text/vtt' }));
        track.onerror = () => failed(new Error('the browser does not read it'));
        track.onload = () =>
          done(
            [...(track.track.cues ?? [])].map((cue) => ({
              ...{ from: cue.startTime, to: cue.endTime },
              text: (cue as VTTCue).getCueAsHTML().textContent ?? '',
            })),
          );
        video.append(track);
        document.body.append(video);
        track.track.mode = 'hidden';
      }),
    text,
  );
  // two takes, one span, one check, one recovery, one fault, and every pull
  expect(cues).toHaveLength(2 + 1 + 1 + 1 + 1 + plan.focusTrack.pulls.length);
  expect(cues).toContainEqual({ from: 0, to: 4.5, text: 'use' });
  expect(cues).toContainEqual({ from: 5, to: 5.8, text: 'cut out: focus check' });
  expect(cues).toContainEqual({ from: 6, to: 7, text: 'lost, and back: gentle' });
  expect(cues).toContainEqual({ from: 8.25, to: 10.25, text: expect.stringContaining('camera jumped') as unknown });
  expect(cues.find(({ text: what }) => /take 2/.test(what))).toMatchObject({ from: 12, to: 15 });
  expect(cues.filter(({ text: what }) => what.includes(': late'))).toHaveLength(plan.focusTrack.pulls.length);
});

test('OTIO is what its specification asks for', async ({ heron, page }) => {
  await shotWithTakes(heron);
  const timeline: unknown = JSON.parse(await exported(page, 'OTIO'));
  expect(otioProblems(timeline)).toEqual([]);
  expect(otioSchemas(timeline).filter((schema) => schema === 'Clip.2').length).toBeGreaterThanOrEqual(2);
});
