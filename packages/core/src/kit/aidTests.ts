import { type Aid, AIDS, type AidTest, type KitCamera } from './kitCamera.js';

/** One cell of the matrix: a focus aid on a display in a recording mode. */
export interface AidCell {
  readonly aid: Aid;
  readonly display: string;
  readonly modeId: string;
  readonly answer: 'yes' | 'no' | 'untested';
  /** Why the test should be repeated; null while the result is valid */
  readonly retest: 'other-software' | 'old' | null;
  readonly test: AidTest | null;
}

const DAY_MS = 24 * 3600 * 1000;

/**
 * Test results of a camera: every aid on every display in every mode. Ordered by display, then by mode, because that order
 * needs the fewest changes at the camera.
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
          answer: answerOf(test),
          retest: test && retestReason(camera, test, today),
        };
      }),
    ),
  );
}

/** Next cell to test after the given one: untested, or due for a repeat. Null when all results are valid. */
export function nextAidTest(camera: KitCamera, today: string, after: AidCell | null = null): AidCell | null {
  const cells = aidMatrix(camera, today);
  const at = after ? cells.findIndex((cell) => isSameCell(cell, after)) + 1 : 0;
  const isDue = (cell: AidCell) => cell.answer === 'untested' || cell.retest !== null;
  return [...cells.slice(at), ...cells.slice(0, at)].find(isDue) ?? null;
}

/** The camera with a test result added. It replaces an older result for the same cell. */
export function withAidTest(camera: KitCamera, test: AidTest): KitCamera {
  return { ...camera, tests: [...camera.tests.filter((item) => !isSameCell(item, test)), test] };
}

/** The camera without the result of a cell, which is then untested. */
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

function answerOf(test: AidTest | null): AidCell['answer'] {
  if (test === null) return 'untested';
  return test.works ? 'yes' : 'no';
}
