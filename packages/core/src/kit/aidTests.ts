import { type Aid, AIDS, type AidTest, type KitCamera } from './kitCamera.js';

/** One cell of the matrix: an aid on a display in a recording mode. */
export interface AidCell {
  readonly aid: Aid;
  readonly display: string;
  readonly modeId: string;
  readonly answer: 'yes' | 'no' | 'untested';
  /** Why it should be asked again; null while the answer stands */
  readonly retest: 'other-software' | 'old' | null;
  readonly test: AidTest | null;
}

const DAY_MS = 24 * 3600 * 1000;

/**
 * What the camera can do, as tested: every aid on every display in every mode. Display first, then mode: the order in which a test walks through
 * them with the fewest changes at the camera.
 *
 * @param today - YYYY-MM-DD
 */
export function aidMatrix(camera: KitCamera, today: string): AidCell[] {
  return camera.displays.flatMap((display) =>
    camera.modes.flatMap(({ id: modeId }) =>
      AIDS.map((aid): AidCell => {
        const test = camera.tests.find((item) => item.aid === aid && item.display === display && item.modeId === modeId) ?? null;
        return {
          aid,
          display,
          modeId,
          test,
          answer: test === null ? 'untested' : test.works ? 'yes' : 'no',
          retest: test && retestReason(camera, test, today),
        };
      }),
    ),
  );
}

/** The next thing to try, after the cell given: untested ones and those that should be asked again; null when all stand. */
export function nextAidTest(camera: KitCamera, today: string, after: AidCell | null = null): AidCell | null {
  const cells = aidMatrix(camera, today);
  const at = after ? cells.findIndex((cell) => isSameCell(cell, after)) + 1 : 0;
  const isDue = (cell: AidCell) => cell.answer === 'untested' || cell.retest !== null;
  return [...cells.slice(at), ...cells.slice(0, at)].find(isDue) ?? null;
}

/** The camera with an answer put in, in place of an older one to the same question. */
export function withAidTest(camera: KitCamera, test: AidTest): KitCamera {
  return { ...camera, tests: [...camera.tests.filter((item) => !isSameCell(item, test)), test] };
}

/** The camera with an answer taken out again: untested. */
export function withoutAidTest(camera: KitCamera, cell: Pick<AidCell, 'aid' | 'display' | 'modeId'>): KitCamera {
  return { ...camera, tests: camera.tests.filter((item) => !isSameCell(item, cell)) };
}

function isSameCell(a: Pick<AidCell, 'aid' | 'display' | 'modeId'>, b: Pick<AidCell, 'aid' | 'display' | 'modeId'>): boolean {
  return a.aid === b.aid && a.display === b.display && a.modeId === b.modeId;
}

function retestReason(camera: KitCamera, test: AidTest, today: string): AidCell['retest'] {
  if (test.software !== camera.software) return 'other-software';
  const days = (Date.parse(today) - Date.parse(test.testedOn)) / DAY_MS;
  return camera.retestAfterDays > 0 && days > camera.retestAfterDays ? 'old' : null;
}
