import { discBlur } from './discBlur';
import type { Scene, SceneFigure } from './scene';

/** Part of a figure in one colour. */
interface Layer {
  readonly colour: readonly [number, number, number];
  readonly draw: (context: CanvasRenderingContext2D, figure: SceneFigure, height: number) => void;
}

/** Above this blur a mask is processed at half size, above twice that at a quarter; the difference is not visible. */
const HALF_SIZE_FROM_PX = 9;

/** Size of the cache of drawn parts: an unchanged figure is drawn once. */
const MAX_CACHED = 240;
const kept = new Map<string, HTMLCanvasElement>();

/** Draws a scene from back to front, each part with its blur. */
export function drawScene(context: CanvasRenderingContext2D, scene: Scene, ground: string, colours: readonly string[]): void {
  const { width, height, figures } = scene;
  const gradient = context.createLinearGradient(0, 0, 0, height);
  gradient.addColorStop(0, shade(ground, 1.25));
  gradient.addColorStop(1, shade(ground, 0.85));
  context.fillStyle = gradient;
  context.fillRect(0, 0, width, height);
  for (const figure of figures) {
    const colour = rgbOf(colours[figure.subjectIndex < 0 ? colours.length - 1 : figure.subjectIndex % (colours.length - 1)]!);
    for (const [index, layer] of layersOf(figure, colour).entries()) {
      const factor = reductionOf(figure.blurPx);
      const part = partOf(figure, layer, index, { width, height, factor });
      context.drawImage(part, 0, 0, part.width * factor, part.height * factor);
    }
  }
}

/** A layer of a figure, drawn smaller than the picture by `factor`. */
function partOf(
  figure: SceneFigure,
  layer: Layer,
  index: number,
  { width, height, factor }: Size & { readonly factor: number },
): HTMLCanvasElement {
  const size = { width: Math.ceil(width / factor), height: Math.ceil(height / factor) };
  const { shape, x, y, scale, blurPx, widthMm, heightMm } = figure;
  const key = [shape, index, x, y, scale, blurPx, widthMm, heightMm, ...layer.colour, size.width, size.height]
    .map((value) => (typeof value === 'number' ? value.toFixed(2) : value))
    .join();
  const known = kept.get(key);
  if (known) return known;
  const part = canvasOf(size);
  const context = part.getContext('2d', { willReadFrequently: true })!;
  context.scale(1 / factor, 1 / factor);
  context.fillStyle = `rgb(${layer.colour.join(',')})`;
  layer.draw(context, figure, height);
  context.setTransform(1, 0, 0, 1, 0, 0);
  if (blurPx >= 1) blurPart(context, size, layer.colour, blurPx / factor);
  if (kept.size >= MAX_CACHED) kept.delete(kept.keys().next().value!);
  kept.set(key, part);
  return part;
}

/** Blurs what is drawn, which has one colour. */
function blurPart(context: CanvasRenderingContext2D, { width, height }: Size, [red, green, blue]: Rgb, diameterPx: number): void {
  const image = context.getImageData(0, 0, width, height);
  const { data } = image;
  const alpha = new Float32Array(width * height);
  for (let k = 0; k < alpha.length; k++) alpha[k] = data[4 * k + 3]! / 255;
  const blurred = discBlur({ width, height, alpha }, diameterPx).alpha;
  for (let k = 0; k < blurred.length; k++) {
    data[4 * k] = red;
    data[4 * k + 1] = green;
    data[4 * k + 2] = blue;
    data[4 * k + 3] = 255 * blurred[k]!;
  }
  context.putImageData(image, 0, 0);
}

interface Size {
  readonly width: number;
  readonly height: number;
}

function canvasOf({ width, height }: Size): HTMLCanvasElement {
  const canvas = document.createElement('canvas');
  canvas.width = width;
  canvas.height = height;
  return canvas;
}

type Rgb = readonly [number, number, number];

/** A head lighter than the body with dark eyes: peaking needs some contrast inside a figure. */
function layersOf({ shape }: SceneFigure, colour: Rgb): Layer[] {
  const body = { colour: scaled(colour, BODY_SHADE[shape]), draw: DRAW[shape] };
  if (shape === 'person')
    return [body, { colour: scaled(colour, 0.8), draw: drawHead }, { colour: scaled(colour, 0.2), draw: drawEyes }];
  if (shape === 'thing') return [body, { colour: scaled(colour, 0.95), draw: drawRim }];
  return [body];
}

const BODY_SHADE = { person: 0.56, thing: 0.5, horizon: 0.7, landmark: 0.5 } as const;

/** Body measures in mm around the eyes. */
const HEAD = { width: 155, height: 235, over: 110 };
const SHOULDERS = { under: 250 };

const DRAW: Readonly<Record<SceneFigure['shape'], Layer['draw']>> = {
  person(context, { x, y, scale, widthMm }, height) {
    const half = (widthMm / 2) * scale;
    const shoulderY = y + SHOULDERS.under * scale;
    context.beginPath();
    context.moveTo(x - half, Math.max(height * 2, shoulderY));
    context.lineTo(x - half, shoulderY + 110 * scale);
    context.quadraticCurveTo(x - half, shoulderY, x - half * 0.45, shoulderY - 40 * scale);
    context.lineTo(x + half * 0.45, shoulderY - 40 * scale);
    context.quadraticCurveTo(x + half, shoulderY, x + half, shoulderY + 110 * scale);
    context.lineTo(x + half, Math.max(height * 2, shoulderY));
    context.fill();
  },
  thing(context, { x, y, scale }, height) {
    const half = 420 * scale;
    context.beginPath();
    context.moveTo(x - half, y);
    context.lineTo(x + half, y);
    context.quadraticCurveTo(x + half * 0.9, y + 500 * scale, x + half * 1.1, Math.max(height * 2, y + 900 * scale));
    context.lineTo(x - half * 1.1, Math.max(height * 2, y + 900 * scale));
    context.quadraticCurveTo(x - half * 0.9, y + 500 * scale, x - half, y);
    context.fill();
  },
  horizon(context, { x, y, widthMm }) {
    context.fillRect(x - widthMm / 2, y, widthMm, widthMm / 9);
    context.fillRect(x - widthMm / 5, y - widthMm / 7, widthMm / 4, widthMm / 7);
  },
  landmark(context, { x, y, scale, widthMm, heightMm }) {
    context.fillRect(x - (widthMm * scale) / 2, y - heightMm * scale, widthMm * scale, heightMm * scale);
  },
};

const drawHead: Layer['draw'] = (context, { x, y, scale }) => {
  context.fillRect(x - 48 * scale, y + 60 * scale, 96 * scale, 160 * scale);
  const middle = { x, y: y + (HEAD.height / 2 - HEAD.over) * scale };
  ellipse(context, middle, (HEAD.width / 2) * scale, (HEAD.height / 2) * scale);
};

const drawEyes: Layer['draw'] = (context, { x, y, scale }) => {
  for (const side of [-1, 1]) ellipse(context, { x: x + side * 33 * scale, y }, 13 * scale, 7 * scale);
};

const drawRim: Layer['draw'] = (context, { x, y, scale }) => {
  context.fillRect(x - 430 * scale, y - 26 * scale, 860 * scale, 52 * scale);
  for (const side of [-1, 0, 1]) context.fillRect(x + side * 240 * scale - 9 * scale, y + 80 * scale, 18 * scale, 130 * scale);
};

function ellipse(context: CanvasRenderingContext2D, { x, y }: { x: number; y: number }, rx: number, ry: number): void {
  context.beginPath();
  context.ellipse(x, y, Math.max(rx, 0), Math.max(ry, 0), 0, 0, 2 * Math.PI);
  context.fill();
}

function rgbOf(hex: string): Rgb {
  return [1, 3, 5].map((at) => parseInt(hex.slice(at, at + 2), 16)) as unknown as Rgb;
}

function scaled(colour: Rgb, by: number): Rgb {
  return colour.map((value) => Math.min(255, Math.round(value * by))) as unknown as Rgb;
}

function shade(hex: string, by: number): string {
  return `rgb(${scaled(rgbOf(hex), by).join(',')})`;
}

/** Factor by which a layer is drawn smaller: a blurred one has no fine detail. */
function reductionOf(blurPx: number): 1 | 2 | 4 {
  if (blurPx > 2 * HALF_SIZE_FROM_PX) return 4;
  return blurPx > HALF_SIZE_FROM_PX ? 2 : 1;
}
