import {
  blurDiameterMm,
  breathingBetween,
  focalLengthAt,
  imageScale,
  type CompleteVerdict,
  lensView,
  pictureSize,
  planDistances,
  type ShotPlan,
  type Subject,
  USUAL_TALL_MM,
  zoneLensAt,
} from '@still-heron/core';

/** A figure in the picture, in pixels of the view. */
export interface SceneFigure {
  readonly id: string;
  /** Index of the subject, or -1 for a landmark */
  readonly subjectIndex: number;
  readonly shape: 'person' | 'thing' | 'horizon' | 'landmark';
  /** Horizontal centre, and height of the point of focus */
  readonly x: number;
  readonly y: number;
  /** Pixels per mm at its distance */
  readonly scale: number;
  /** Diameter of its blur disc */
  readonly blurPx: number;
  readonly distanceMm: number;
  /** Width of a person's shoulders; size of a landmark */
  readonly widthMm: number;
  readonly heightMm: number;
}

export interface Scene {
  readonly width: number;
  readonly height: number;
  /** Farthest first */
  readonly figures: readonly SceneFigure[];
}

/** Height of the eyes in the picture without a floor plan. */
const EYE_LINE = 0.4;
/** Points of focus that are parts of a body. A subject with any other is drawn as a thing: a cart that someone pushes. */
const BODY_PART = /eye|face|head|mouth|lip|brow|hand|finger|shoulder|cheek/i;
/** Width of a thing at infinity, as a share of the picture. */
const HORIZON_SHARE = 0.36;

export interface SceneView {
  /** Width of the view in pixels */
  readonly width: number;
  /** Subject in the magnified part; null for the whole picture */
  readonly magnified?: { readonly subjectId: string; readonly times: number } | null;
}

/**
 * Picture at a frame: subjects at their depth and size, with their computed blur. Horizontal positions come from the floor
 * plan; without one, subjects stand side by side.
 */
export function sceneAt(plan: ShotPlan, verdict: CompleteVerdict, frame: number, { width, magnified = null }: SceneView): Scene {
  const whole = wholeScene(plan, verdict, frame, width);
  const shown = magnified && whole.figures.find(({ id }) => id === magnified.subjectId);
  if (!magnified || !shown) return whole;
  const { times } = magnified;
  const figures = whole.figures.map((figure) => ({
    ...figure,
    x: (figure.x - shown.x) * times + width / 2,
    y: (figure.y - shown.y) * times + whole.height / 2,
    scale: figure.scale * times,
    blurPx: figure.blurPx * times,
    ...(figure.shape === 'horizon' ? { widthMm: figure.widthMm * times } : {}),
  }));
  return { ...whole, figures };
}

function wholeScene(plan: ShotPlan, verdict: CompleteVerdict, frame: number, width: number): Scene {
  const { optics, floor } = plan;
  const { sensorWidthMm, sensorHeightMm } = pictureSize(optics.camera);
  const squeeze = optics.lens.squeeze;
  const height = Math.round((width * sensorHeightMm) / (sensorWidthMm * squeeze));
  const pxPerMm = width / sensorWidthMm;
  const timeS = verdict.track.timesS[frame]!;
  const focusDistanceMm = verdict.track.focusMm[frame]!;
  const { principalSeparationMm } = optics.lens;
  const lens = { focalLengthMm: focalLengthAt(optics, timeS), focusDistanceMm, principalSeparationMm };
  // a lens that breathes shows more or less of the scene as it is focused
  const shown = 1 + breathingBetween(optics.lens, Infinity, focusDistanceMm) / 100;
  const scaleAt = (subjectDistanceMm: number) => imageScale({ ...lens, subjectDistanceMm }) / shown;
  const across = (offAxisDeg: number) =>
    width / 2 - (Math.tan((offAxisDeg * Math.PI) / 180) * lens.focalLengthMm * pxPerMm) / shown;
  const { sightingAt } = planDistances(plan);
  const people = verdict.subjects.map(({ subjectId, distanceMm, blurCircles }, index): SceneFigure => {
    const subject = plan.subjects.find(({ id }) => id === subjectId)!;
    const mm = distanceMm[frame]!;
    const sight = sightingAt(subject, timeS);
    const scale = scaleAt(mm) * pxPerMm;
    return {
      id: subjectId,
      subjectIndex: plan.subjects.indexOf(subject),
      shape: mm === Infinity ? 'horizon' : shapeOf(subject),
      x: sight ? across(sight.offAxisDeg) : ((index + 1) / (verdict.subjects.length + 1)) * width,
      y: height * EYE_LINE - (sight?.aboveMm ?? 0) * scale,
      scale,
      blurPx: blurCircles[frame]! * verdict.circleOfConfusionMm * pxPerMm,
      distanceMm: mm,
      widthMm: mm === Infinity ? HORIZON_SHARE * width : subject.widthMm,
      heightMm: 0,
    };
  });
  const viewOf = floor && lensView({ ...plan, floor }, timeS);
  const things = (floor?.landmarks ?? []).flatMap((landmark): SceneFigure[] => {
    const { depthMm, sideMm, floorAboveMm } = viewOf!(landmark);
    if (depthMm < 300 || landmark.shape === 'track') return [];
    const scale = scaleAt(depthMm) * pxPerMm;
    const x = width / 2 - sideMm * scale;
    const halfWidth = (landmark.widthMm * scale) / 2;
    if (x + halfWidth < 0 || x - halfWidth > width) return [];
    const zone = zoneLensAt(optics, timeS);
    return [
      {
        id: landmark.id,
        subjectIndex: -1,
        shape: 'landmark',
        x,
        y: height * EYE_LINE - floorAboveMm * scale,
        scale,
        blurPx: blurDiameterMm({ ...zone, focusDistanceMm, subjectDistanceMm: depthMm }) * pxPerMm,
        distanceMm: depthMm,
        widthMm: landmark.widthMm,
        // one of unknown height is drawn as usual, and hides nobody
        heightMm: landmark.tallMm || USUAL_TALL_MM[landmark.shape],
      },
    ];
  });
  return { width, height, figures: [...people, ...things].sort((a, b) => b.distanceMm - a.distanceMm) };
}

function shapeOf({ kind, detail }: Subject): 'person' | 'thing' {
  return kind !== 'object' && BODY_PART.test(detail) ? 'person' : 'thing';
}
