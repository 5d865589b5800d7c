/*
 * The same trials as packages/core/loop/trialLoop.ts, counted only, in C: what the core's loop is compared with. Reads what no draw changes as doubles from the file that it
 * is given (keepRate.mjs writes it and has their order). Prints how many takes are kept and how long that took, in ms, the quickest of several rounds.
 *
 * A plain shot: a continuous ring without hard stops, holds that stay, pulls eased at both ends, a lens that does not change.
 */
#include <math.h>
#include <stdint.h>
#include <stdio.h>
#include <stdlib.h>
#include <time.h>

#define MOST 16
#define TAKES_PER_SETUP 20
#define DRIFT_STREAM 0x5bd1e995u
#define ENTRIES 2048
#define LOOSE (1 + 1e-9)

typedef struct { double stillDeg, mm, sigmaMm; int mark, drawsAt; } Hold;
typedef struct { double startS, durationS, reactionS, cueSigmaS, ringSigmaDeg; } Pull;
typedef struct { double markSigmaMm, timingSigmaS; int drawsAt; double z; const double *x, *y, *shift, *focus, *hasPlace; } Subject;
typedef struct { const double *x, *y, *z, *missX, *missY, *forwardX, *forwardY, *forwardZ, *aimedAt; } Camera;
typedef struct { double timingSigmaS, stopSigmaMm, driftSigmaMm, driftKept; int drawsAt; } CameraErrors;
typedef struct { int subject, isSoft, from, to, mayLose, key, isStill; } Beat;

static double fps, lowDeg, highDeg, anglesPerPerMm, tableLowDeg, tablePerDeg;
static int frames, holdCount, subjectCount, beatCount, markCount, drawCount;
static Camera camera;
static CameraErrors errors;
static const double *setupSteps;
static Hold holds[MOST];
static Pull pulls[MOST];
static Subject subjects[MOST];
static Beat beats[MOST];
static const double *angleDegs, *nearPerMm, *farPerMm;

static uint32_t state[4];

static uint32_t spread(uint32_t x) {
  x = (x ^ (x >> 16)) * 0x85ebca6bu;
  x = (x ^ (x >> 13)) * 0xc2b2ae35u;
  return x ^ (x >> 16);
}

static void startTake(uint32_t seed, uint32_t take) {
  for (uint32_t k = 0; k < 4; k++) state[k] = spread(spread(seed + (k + 1) * 0x9e3779b9u) ^ (take + 1) * (0x6a09e667u + 2 * k));
  if ((state[0] | state[1] | state[2] | state[3]) == 0) state[0] = 1;
}

static double tail(double q) {
  double above = ((((-0.007784894002430293 * q - 0.3223964580411365) * q - 2.400758277161838) * q - 2.549732539343734) * q + 4.374664141464968) * q + 2.938163982698783;
  double below = (((0.007784695709041462 * q + 0.3224671290700398) * q + 2.445134137142996) * q + 3.754408661907416) * q + 1;
  return above / below;
}

#define CELLS 4096
#define TAIL_CELLS 4
#define CELL_BITS 20
static double lines[2 * CELLS];

static double quantile(double p) {
  if (p < 0.02425) return tail(sqrt(-2 * log(p)));
  if (p > 1 - 0.02425) return -tail(sqrt(-2 * log(1 - p)));
  double q = p - 0.5, r = q * q;
  double above = ((((-39.69683028665376 * r + 220.9460984245205) * r - 275.9285104469687) * r + 138.357751867269) * r - 30.66479806614716) * r + 2.506628277459239;
  double below = ((((-54.47609879822406 * r + 161.5858368580409) * r - 155.6989798598866) * r + 66.80131188771972) * r - 13.28068155288572) * r + 1;
  return above * q / below;
}

static void fillLines(void) {
  for (int cell = TAIL_CELLS; cell < CELLS - TAIL_CELLS; cell++) {
    double from = quantile((double)cell / CELLS);
    double slope = (quantile((double)(cell + 1) / CELLS) - from) / (1 << CELL_BITS);
    lines[2 * cell] = from + slope / 2;
    lines[2 * cell + 1] = slope;
  }
}

static double normal(void) {
  uint32_t scrambled = state[1] * 5u;
  uint32_t result = ((scrambled << 7) | (scrambled >> 25)) * 9u;
  uint32_t shifted = state[1] << 9;
  state[2] ^= state[0];
  state[3] ^= state[1];
  state[1] ^= state[2];
  state[0] ^= state[3];
  state[2] ^= shifted;
  state[3] = (state[3] << 11) | (state[3] >> 21);
  uint32_t cell = result >> CELL_BITS;
  if (((cell + TAIL_CELLS) & (CELLS - 1)) < 2 * TAIL_CELLS) return quantile((result + 0.5) / 4294967296.0);
  return lines[2 * cell] + (result & ((1 << CELL_BITS) - 1)) * lines[2 * cell + 1];
}

static double clampDeg(double deg) { return deg < lowDeg ? lowDeg : deg > highDeg ? highDeg : deg; }

static double setDeg(double mm) {
  double at = fmin(anglesPerPerMm / fmax(mm, 1), ENTRIES);
  int entry = (int)at < ENTRIES - 1 ? (int)at : ENTRIES - 1;
  return angleDegs[entry] + (at - entry) * (angleDegs[entry + 1] - angleDegs[entry]);
}

static double draws[8 * MOST], *driftMm, cameraLateFrames, cameraMissMm;
static double missMm[MOST], lateFrames[MOST], stillDeg[MOST], startS[MOST], fromDeg[MOST];
static int startFrame[MOST], endFrame[MOST];
static double setupDraws[MOST];

static void drawSetup(uint32_t seed, uint32_t setup) {
  for (int k = 0; k < markCount; k++) {
    double start = (spread(spread(seed + 0x51ed270bu) ^ (uint32_t)(k + 1)) + 0.5) / 4294967296.0;
    double at = start + setup * setupSteps[k];
    double p = at - floor(at);
    setupDraws[k] = quantile(p < 1e-12 ? 1e-12 : p);
  }
}

static int frameAt(double timeS) {
  int frame = (int)ceil(timeS * fps - 1e-6);
  return frame < 0 ? 0 : frame;
}

static void drawTake(uint32_t seed, uint32_t take) {
  startTake(seed, take);
  for (int k = 0; k < drawCount; k++) draws[k] = normal();
  cameraLateFrames = draws[errors.drawsAt] * errors.timingSigmaS * fps;
  cameraMissMm = draws[errors.drawsAt + 1] * errors.stopSigmaMm;
  if (errors.driftSigmaMm != 0) {
    double fresh = sqrt(1 - errors.driftKept * errors.driftKept), drift = 0;
    startTake(seed ^ DRIFT_STREAM, take);
    for (int frame = 0; frame < frames; frame++) {
      double drawn = normal();
      drift = frame == 0 ? drawn : errors.driftKept * drift + fresh * drawn;
      driftMm[frame] = drift * errors.driftSigmaMm;
    }
  }
  for (int k = 0; k < subjectCount; k++) {
    missMm[k] = draws[subjects[k].drawsAt] * subjects[k].markSigmaMm;
    lateFrames[k] = draws[subjects[k].drawsAt + 1] * subjects[k].timingSigmaS * fps;
  }
  double freeS = -INFINITY;
  for (int k = 0; k < holdCount; k++) {
    const Hold *hold = &holds[k];
    double offDeg = k == 0 ? 0 : draws[hold->drawsAt + 1] * pulls[k - 1].ringSigmaDeg;
    double marksDeg = hold->sigmaMm == 0 ? hold->stillDeg : clampDeg(setDeg(hold->mm + setupDraws[hold->mark] * hold->sigmaMm));
    stillDeg[k] = clampDeg(marksDeg + offDeg);
    if (k == 0) continue;
    const Pull *pull = &pulls[k - 1];
    startS[k - 1] = fmax(pull->startS + pull->reactionS + draws[hold->drawsAt + 2] * pull->cueSigmaS, freeS);
    freeS = startS[k - 1] + pull->durationS;
    startFrame[k - 1] = frameAt(startS[k - 1]);
    endFrame[k - 1] = frameAt(freeS);
    fromDeg[k - 1] = stillDeg[k - 1];
  }
}

static int before, after;
static double share;

static void seek(double at) {
  at = fmin(fmax(at, 0), frames - 1);
  before = (int)at;
  after = before + 1 < frames ? before + 1 : frames - 1;
  share = at - before;
}

static double between(const double *column) {
  double from = column[before], to = column[after];
  return share == 0 || from == to || isinf(from) ? from : from + share * (to - from);
}

static double depthAt(int who, int frame) {
  const Subject *subject = &subjects[who];
  double offMm = missMm[who] - (errors.driftSigmaMm == 0 ? 0 : driftMm[frame]);
  seek(frame - lateFrames[who]);
  if (subject->hasPlace[before] == 0) return between(subject->focus) + offMm;
  double x = between(subject->x), y = between(subject->y), shift = between(subject->shift);
  seek(frame - cameraLateFrames);
  double cameraX = between(camera.x), cameraY = between(camera.y), cameraZ = between(camera.z);
  if (cameraMissMm != 0) cameraX += cameraMissMm * between(camera.missX), cameraY += cameraMissMm * between(camera.missY);
  double dx = x - cameraX, dy = y - cameraY, up = subject->z - cameraZ;
  double tape = sqrt(dx * dx + dy * dy + up * up);
  int aimed = (int)camera.aimedAt[before];
  if (aimed == who) return tape + shift + offMm;
  double fx = between(camera.forwardX), fy = between(camera.forwardY), fz = between(camera.forwardZ);
  if (aimed >= 0) {
    seek(frame - lateFrames[aimed]);
    double toX = between(subjects[aimed].x) - cameraX, toY = between(subjects[aimed].y) - cameraY, toZ = subjects[aimed].z - cameraZ;
    double length = sqrt(toX * toX + toY * toY + toZ * toZ);
    if (length > 0) fx = toX / length, fy = toY / length, fz = toZ / length;
  }
  double depth = dx * fx + dy * fy + up * fz;
  return depth + shift * (tape > 0 ? depth / tape : 1) + offMm;
}

static int isAsAsked(const Beat *beat, double ringDeg, int frame, double mm) {
  double perMm = mm < 1 ? 1 : 1 / mm;
  double at = fmin(fmax((ringDeg - tableLowDeg) * tablePerDeg, 0), ENTRIES);
  int entry = (int)at < ENTRIES - 1 ? (int)at : ENTRIES - 1;
  double share = at - entry;
  double near = nearPerMm[entry] + share * (nearPerMm[entry + 1] - nearPerMm[entry]);
  double far = farPerMm[entry] + share * (farPerMm[entry + 1] - farPerMm[entry]);
  return (perMm <= near * LOOSE && perMm * LOOSE >= far) != beat->isSoft;
}

static int keeps(const Beat *beat) {
  int lost = 0, isKeyLost = 0, frame = beat->from;
  double stillMm = beat->isStill ? depthAt(beat->subject, frame) : 0;
#define MM (beat->isStill ? stillMm : depthAt(beat->subject, frame))
  for (int hold = 0; hold < holdCount && frame < beat->to; hold++) {
    if (hold > 0) {
      int turnTo = endFrame[hold - 1] < beat->to ? endFrame[hold - 1] : beat->to;
      for (; frame < turnTo; frame++) {
        double tau = (frame / fps - startS[hold - 1]) / pulls[hold - 1].durationS;
        double eased = tau <= 0 ? 0 : tau >= 1 ? 1 : tau * tau * tau * (10 + tau * (6 * tau - 15));
        double deg = fromDeg[hold - 1] + (stillDeg[hold] - fromDeg[hold - 1]) * eased;
        if (!isAsAsked(beat, deg, frame, MM)) {
          lost++;
          if (frame == beat->key) isKeyLost = 1;
        }
        if (lost > beat->mayLose || isKeyLost) return 0;
      }
    }
    int standsTo = hold < holdCount - 1 && startFrame[hold] < beat->to ? startFrame[hold] : beat->to;
    if (frame >= standsTo) continue;
    if (beat->isStill) {
      if (!isAsAsked(beat, stillDeg[hold], frame, MM)) {
        lost += standsTo - frame;
        if (beat->key >= frame && beat->key < standsTo) isKeyLost = 1;
      }
      frame = standsTo;
    } else
      for (; frame < standsTo && lost <= beat->mayLose && !isKeyLost; frame++)
        if (!isAsAsked(beat, stillDeg[hold], frame, MM)) {
          lost++;
          if (frame == beat->key) isKeyLost = 1;
        }
    if (lost > beat->mayLose || isKeyLost) return 0;
  }
  return lost <= beat->mayLose && !isKeyLost;
}

static int run(uint32_t seed, int takes) {
  int kept = 0;
  for (int take = 0; take < takes; take++) {
    if (take % TAKES_PER_SETUP == 0) drawSetup(seed, (uint32_t)take / TAKES_PER_SETUP);
    drawTake(seed, (uint32_t)take);
    int isKept = 1;
    for (int k = 0; k < beatCount && isKept; k++) isKept = keeps(&beats[k]);
    kept += isKept;
  }
  return kept;
}

int main(int argc, char **argv) {
  if (argc < 2) return 2;
  FILE *file = fopen(argv[1], "rb");
  if (!file) return 2;
  fseek(file, 0, SEEK_END);
  size_t count = (size_t)ftell(file) / sizeof(double);
  rewind(file);
  double *values = malloc(count * sizeof(double));
  if (!values || fread(values, sizeof(double), count, file) != count) return 2;
  fclose(file);
  const double *v = values;
  int seed = (int)*v++, takes = (int)*v++, rounds = (int)*v++;
  fps = *v++, frames = (int)*v++, lowDeg = *v++, highDeg = *v++;
  holdCount = (int)*v++, subjectCount = (int)*v++, beatCount = (int)*v++, markCount = (int)*v++, drawCount = (int)*v++;
  if (holdCount > MOST || subjectCount > MOST || beatCount > MOST || markCount > MOST || drawCount > 8 * MOST) return 2;
  driftMm = malloc(frames * sizeof(double));
  setupSteps = v, v += markCount;
  const double **columns[] = {&camera.x, &camera.y, &camera.z, &camera.missX, &camera.missY, &camera.forwardX, &camera.forwardY, &camera.forwardZ, &camera.aimedAt};
  for (int k = 0; k < 9; k++, v += frames) *columns[k] = v;
  errors = (CameraErrors){v[0], v[1], v[2], v[3], (int)v[4]}, v += 5;
  for (int k = 0; k < holdCount; k++, v += 5) holds[k] = (Hold){v[0], v[1], v[2], (int)v[3], (int)v[4]};
  for (int k = 0; k < holdCount - 1; k++, v += 5) pulls[k] = (Pull){v[0], v[1], v[2], v[3], v[4]};
  for (int k = 0; k < subjectCount; k++, v += 4 + 5 * frames)
    subjects[k] = (Subject){v[0], v[1], (int)v[2], v[3], v + 4, v + 4 + frames, v + 4 + 2 * frames, v + 4 + 3 * frames, v + 4 + 4 * frames};
  for (int k = 0; k < beatCount; k++, v += 7) beats[k] = (Beat){(int)v[0], (int)v[1], (int)v[2], (int)v[3], (int)v[4], (int)v[5], (int)v[6]};
  anglesPerPerMm = *v++, angleDegs = v, v += ENTRIES + 1;
  tableLowDeg = *v++, tablePerDeg = *v++;
  nearPerMm = v, farPerMm = v + ENTRIES + 1;
  fillLines();
  double best = INFINITY;
  int kept = 0;
  for (int round = 0; round < rounds; round++) {
    struct timespec from, to;
    clock_gettime(CLOCK_MONOTONIC, &from);
    kept = run((uint32_t)seed, takes);
    clock_gettime(CLOCK_MONOTONIC, &to);
    best = fmin(best, (to.tv_sec - from.tv_sec) * 1e3 + (to.tv_nsec - from.tv_nsec) / 1e6);
  }
  printf("%d %.4f\n", kept, best);
  return 0;
}
