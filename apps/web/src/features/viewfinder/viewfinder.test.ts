import { addLandmark, addSubject, changeSubject, pictureWidthMm, startFloor } from '@still-heron/core';
import { discBlur, type Mask } from './discBlur';
import { peakingMask } from './peaking';
import { sceneAt } from './scene';
import { judge, TWO_PEOPLE as two } from '../../twoPeople.fixture';

/** One bright point in the middle of a dark picture. */
function point(size: number): Mask {
  const alpha = new Float32Array(size * size);
  alpha[(size >> 1) * size + (size >> 1)] = 1;
  return { width: size, height: size, alpha };
}

describe('a point blurs to a disc', () => {
  test.each([3, 4.5, 8, 13.3, 24])('%d px wide, within 5 percent, evenly, and as bright in all', (diameterPx) => {
    const size = 61;
    const { alpha } = discBlur(point(size), diameterPx);
    const total = alpha.reduce((sum, value) => sum + value, 0);
    expect(total).toBeCloseTo(1, 4);
    // as wide as an even disc of the brightness in its middle would be
    const middle = alpha[(size >> 1) * size + (size >> 1)]!;
    expect(Math.abs((2 * Math.sqrt(total / middle / Math.PI)) / diameterPx - 1)).toBeLessThan(0.05);
    // and as wide as it is across, counting pixels of its edge by how bright they are
    const row = Array.from(alpha.slice((size >> 1) * size, ((size >> 1) + 1) * size));
    expect(Math.abs(row.reduce((sum, value) => sum + value / middle, 0) / diameterPx - 1)).toBeLessThan(0.05);
    // as high as it is wide
    const column = row.map((_, y) => alpha[y * size + (size >> 1)]!);
    expect(column.reduce((sum, value) => sum + value / middle, 0)).toBeCloseTo(
      row.reduce((sum, value) => sum + value / middle, 0),
      0,
    );
  });

  test('below a pixel it stays a point', () => {
    expect(discBlur(point(9), 0.8).alpha).toEqual(point(9).alpha);
  });

  test('an edge is soft over as much as the disc is wide', () => {
    const [width, height] = [60, 21];
    const alpha = Float32Array.from({ length: width * height }, (_, k) => (k % width < 30 ? 1 : 0));
    const row = discBlur({ width, height, alpha }, 10).alpha.slice(10 * width, 11 * width);
    const soft = Array.from(row).filter((value) => value > 0.001 && value < 0.999).length;
    expect(soft).toBeGreaterThanOrEqual(9);
    expect(soft).toBeLessThanOrEqual(11);
  });
});

describe('the scene', () => {
  test('is blurred by what the core computes: the disc is as large a share of the view as of the sensor', () => {
    const verdict = judge(two);
    for (const frame of [0, 108, 200]) {
      const scene = sceneAt(two, verdict, frame, { width: 268 });
      for (const { id, blurPx } of scene.figures) {
        const { blurCircles } = verdict.subjects.find(({ subjectId }) => subjectId === id)!;
        const blurMm = blurCircles[frame]! * verdict.circleOfConfusionMm;
        expect(blurPx).toBeCloseTo((blurMm / pictureWidthMm(two.optics)) * 268, 9);
      }
    }
    const [farther, nearer] = sceneAt(two, verdict, 0, { width: 268 }).figures;
    expect([farther!.id, nearer!.id]).toEqual(['subject-1', 'subject-2']);
    expect(farther!.blurPx).toBeLessThan(0.01);
    expect(nearer!.scale).toBeGreaterThan(farther!.scale);
  });

  test('magnified, the chosen subject is in the middle, and everything is enlarged by the factor', () => {
    const verdict = judge(two);
    const [whole, magnified] = [
      sceneAt(two, verdict, 0, { width: 268 }),
      sceneAt(two, verdict, 0, { width: 268, magnified: { subjectId: 'subject-2', times: 4 } }),
    ];
    const ines = magnified.figures.find(({ id }) => id === 'subject-2')!;
    expect(ines).toMatchObject({ x: 134, y: whole.height / 2 });
    expect(ines.blurPx).toBeCloseTo(4 * whole.figures.find(({ id }) => id === 'subject-2')!.blurPx, 9);
    expect(sceneAt(two, verdict, 0, { width: 268, magnified: { subjectId: 'nobody', times: 4 } })).toEqual(whole);
  });

  test('drawn from above, people stand where they are seen, with what stands beside them; at infinity they are a far shore', () => {
    let plan = addSubject(two, { name: 'River ferry', distanceMm: null });
    plan = changeSubject(plan, 'subject-2', { detail: 'rim of the bell' });
    const verdict = judge(plan);
    expect(sceneAt(plan, verdict, 0, { width: 268 }).figures.map(({ shape }) => shape)).toEqual(['horizon', 'person', 'thing']);
    let drawn = addLandmark(startFloor(two), 'post', 'lamp post', { xMm: 3000, yMm: 300 });
    drawn = addLandmark(drawn, 'box', 'behind the camera', { xMm: -3000, yMm: 0 });
    const { figures } = sceneAt(drawn, judge(drawn), 0, { width: 268 });
    const post = figures.find(({ shape }) => shape === 'landmark')!;
    expect(figures.filter(({ shape }) => shape === 'landmark')).toHaveLength(1);
    expect(post.x).not.toBe(134);
    expect(post.blurPx).toBeGreaterThan(0);
  });
});

describe('peaking', () => {
  /** A bright square on a dark ground, with edges that are soft over a number of pixels. */
  function square(contrast: number, softPx: number): Uint8ClampedArray {
    const size = 40;
    const pixels = new Uint8ClampedArray(4 * size * size);
    for (let y = 0; y < size; y++)
      for (let x = 0; x < size; x++) {
        const inside = Math.min(x - 10, 30 - x, y - 10, 30 - y);
        const value = 40 + contrast * Math.min(Math.max(inside / softPx + 0.5, 0), 1);
        pixels.set([value, value, value, 255], 4 * (y * size + x));
      }
    return pixels;
  }
  const count = (pixels: Uint8ClampedArray, strength: number, detail: 1 | 2 | 3 = 1) =>
    peakingMask(pixels, 40, 40, { strength, detail }).reduce((sum, mark) => sum + mark, 0);

  test('mark what is sharp, and less of what is soft; the stronger, the more', () => {
    expect(count(square(150, 1), 0.5)).toBeGreaterThan(0);
    expect(count(square(150, 12), 0.5)).toBe(0);
    const marks = [0.1, 0.4, 0.7, 1].map((strength) => count(square(90, 4), strength));
    expect(marks).toEqual([...marks].sort((a, b) => a - b));
    expect(marks[3]).toBeGreaterThan(marks[0]!);
  });

  test('are wrong as such aids are: a strong soft edge is marked, a faint sharp one is not', () => {
    expect(count(square(200, 5), 0.8)).toBeGreaterThan(0);
    expect(count(square(25, 1), 0.4)).toBe(0);
  });

  test('by coarse detail an edge is seen that is too soft for fine', () => {
    expect(count(square(150, 9), 0.6, 1)).toBe(0);
    expect(count(square(150, 9), 0.6, 3)).toBeGreaterThan(0);
  });
});
