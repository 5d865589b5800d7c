/*
 * The verdict of a plan as packages/core/src/verdict/ works it out, in C: what the core's evaluatePull is compared with. Reads the plan as doubles from the file that it is
 * given (verdict.mjs writes it and has their order). Prints the sums of what both must agree in, and how long one verdict takes in ms, the quickest of several rounds.
 *
 * A plain plan: a continuous ring with equal extension per degree, pulls eased at both ends between still marks, subjects that stand, a lens that does not change.
 */
#include <math.h>
#include <stdio.h>
#include <stdlib.h>
#include <string.h>
#include <time.h>

#define MOST 64

typedef struct { double startS, endS, fromDeg, toDeg, fromMm, toMm; } Pull;
typedef struct { int subject, fromFrame, toFrame; } Beat;
typedef struct { double objectMm, imageMm, nearMm, farMm; } Zone;
typedef struct { double *distanceMm, *blurCircles, *marginMm; unsigned char *sharp; } Subject;

static double fps, focalMm, fNumber, circleMm, separationMm, degPerMm, startDeg, maxHandDegPerS, reactionS, perBitS;
static int frames, pullCount, subjectCount, beatCount;
static Pull pulls[MOST];
static Beat beats[MOST];
static double subjectMm[MOST];

/** What is printed: JavaScript's verdict must have the same. */
static double requiredFrames, sharpFrames, softSpanCount, peakDegPerS, tightestMm, blurSum, marginSum, ringSum, neededSum;

static double minimumJerk(double p) {
  if (p <= 0) return 0;
  if (p >= 1) return 1;
  return p * p * p * (10 + p * (6 * p - 15));
}

static void conjugates(double tapeMm, double *objectMm, double *imageMm) {
  if (isinf(tapeMm)) { *objectMm = INFINITY; *imageMm = focalMm; return; }
  double reach = tapeMm - separationMm;
  double object = (reach + sqrt(reach * (reach - 4 * focalMm))) / 2;
  *objectMm = object;
  *imageMm = focalMm + focalMm * focalMm / (object - focalMm);
}

static Zone zoneAt(double tapeMm) {
  Zone zone;
  conjugates(tapeMm, &zone.objectMm, &zone.imageMm);
  double f2 = focalMm * focalMm, toTape = separationMm + zone.imageMm;
  if (isinf(zone.objectMm)) { zone.nearMm = f2 / (fNumber * circleMm) + toTape; zone.farMm = INFINITY; return zone; }
  double k = fNumber * circleMm * (zone.objectMm - focalMm);
  zone.nearMm = zone.objectMm * f2 / (f2 + k) + toTape;
  zone.farMm = k >= f2 ? INFINITY : zone.objectMm * f2 / (f2 - k) + toTape;
  return zone;
}

static double distanceAt(double deg) {
  double extension = deg / degPerMm;
  return extension <= 0 ? INFINITY : separationMm + 2 * focalMm + focalMm * focalMm / extension + extension;
}

static double angleAt(double tapeMm) {
  double objectMm, imageMm;
  conjugates(tapeMm, &objectMm, &imageMm);
  return degPerMm * (imageMm - focalMm);
}

static double blurBetween(double objectMm, double subjectMm) {
  double pupil = focalMm * focalMm / fNumber;
  if (isinf(objectMm)) return isinf(subjectMm) ? 0 : pupil / subjectMm;
  if (isinf(subjectMm)) return pupil / (objectMm - focalMm);
  return pupil * fabs(subjectMm - objectMm) / (subjectMm * (objectMm - focalMm));
}

static double *column(void) { return malloc(frames * sizeof(double)); }

static void setRange(double *values, double value, int from, int to) {
  for (int i = from; i < to; i++) values[i] = value;
}

static void fillRing(double *ringDeg, const double *timesS) {
  int frame = 0;
  double held = startDeg;
  for (int p = 0; p < pullCount; p++) {
    const Pull *pull = &pulls[p];
    for (; frame < frames && timesS[frame] < pull->startS; frame++) ringDeg[frame] = held;
    for (; frame < frames && timesS[frame] < pull->endS; frame++)
      ringDeg[frame] = pull->fromDeg + (pull->toDeg - pull->fromDeg) * minimumJerk((timesS[frame] - pull->startS) / (pull->endS - pull->startS));
    held = pull->toDeg;
  }
  for (; frame < frames; frame++) ringDeg[frame] = held;
}

/** Needed time of a pull: its difficulty by the window at the landing. */
static double neededS(const Pull *pull) {
  double travel = fabs(pull->toDeg - pull->fromDeg), total = 0;
  for (int end = 0; end < 2; end++) {
    Zone zone = zoneAt(end ? pull->fromMm : pull->toMm);
    double window = fabs(angleAt(zone.nearMm) - angleAt(zone.farMm));
    double hand = reactionS + perBitS * log2(travel / window + 1), turn = 1.875 * travel / maxHandDegPerS;
    if (travel > 0) total += hand > turn ? hand : turn;
  }
  return total;
}

static void judge(void) {
  double *timesS = column(), *ringDeg = column(), *focusMm = column(), *nearMm = column(), *farMm = column(), *stop = column();
  double *objectMm = column(), *toTapeMm = column(), *focal = column();
  int *sameUntil = malloc(frames * sizeof(int));
  for (int i = 0; i < frames; i++) timesS[i] = i / fps;
  fillRing(ringDeg, timesS);
  for (int i = 0, end; i < frames; i = end) {
    for (end = i + 1; end < frames && ringDeg[end] == ringDeg[i]; end++);
    double tape = distanceAt(ringDeg[i]);
    Zone zone = zoneAt(tape);
    setRange(focusMm, tape, i, end);
    setRange(nearMm, zone.nearMm, i, end);
    setRange(farMm, zone.farMm, i, end);
    setRange(stop, fNumber, i, end);
    setRange(objectMm, zone.objectMm, i, end);
    setRange(toTapeMm, zone.imageMm + separationMm, i, end);
    setRange(focal, focalMm, i, end);
    sameUntil[i] = end;
  }
  Subject subjects[MOST];
  for (int s = 0; s < subjectCount; s++) {
    Subject *subject = &subjects[s];
    *subject = (Subject){column(), column(), column(), malloc(frames)};
    setRange(subject->distanceMm, subjectMm[s], 0, frames);
    for (int i = 0, end, lensUntil = 0; i < frames; i = end) {
      if (i == lensUntil) lensUntil = sameUntil[i];
      for (end = i + 1; end < lensUntil && subject->distanceMm[end] == subject->distanceMm[i]; end++);
      double mm = subject->distanceMm[i], object = mm - toTapeMm[i];
      double blur = blurBetween(objectMm[i], object > 1 ? object : 1);
      double front = mm - nearMm[i], behind = farMm[i] - mm;
      setRange(subject->blurCircles, blur / circleMm, i, end);
      setRange(subject->marginMm, isinf(farMm[i]) || front < behind ? front : behind, i, end);
      memset(subject->sharp + i, blur <= circleMm * (1 + 1e-9), end - i);
    }
  }
  unsigned char *state = calloc(frames, 1);
  requiredFrames = sharpFrames = softSpanCount = peakDegPerS = neededSum = 0;
  tightestMm = INFINITY;
  for (int b = 0; b < beatCount; b++) {
    const Beat *beat = &beats[b];
    const Subject *subject = &subjects[beat->subject];
    int kept = 0, worst = beat->fromFrame;
    for (int i = beat->fromFrame; i < beat->toFrame; i++) {
      kept += subject->sharp[i];
      if (subject->blurCircles[i] > subject->blurCircles[worst]) worst = i;
    }
    for (int i = beat->fromFrame; i < beat->toFrame; i++) if (state[i] != 2) state[i] = subject->sharp[i] ? 1 : 2;
    for (int i = beat->fromFrame; i < beat->toFrame; i++) if (subject->marginMm[i] < tightestMm) tightestMm = subject->marginMm[i];
    for (int i = beat->fromFrame; i < beat->toFrame; i++)
      if (!subject->sharp[i] && (i == beat->fromFrame || subject->sharp[i - 1])) softSpanCount++;
  }
  for (int i = 0; i < frames; i++) {
    requiredFrames += state[i] != 0;
    sharpFrames += state[i] == 1;
  }
  for (int i = 1; i < frames; i++) {
    double speed = fabs(ringDeg[i] - ringDeg[i - 1]) * fps;
    if (speed > peakDegPerS) peakDegPerS = speed;
  }
  for (int p = 0; p < pullCount; p++) {
    double peak = 1.875 * fabs(pulls[p].toDeg - pulls[p].fromDeg) / (pulls[p].endS - pulls[p].startS);
    if (peak > peakDegPerS) peakDegPerS = peak;
    neededSum += neededS(&pulls[p]);
  }
  blurSum = marginSum = ringSum = 0;
  for (int at = 0; at < frames; at += 97) {
    ringSum += ringDeg[at];
    for (int s = 0; s < subjectCount; s++) { blurSum += subjects[s].blurCircles[at]; marginSum += subjects[s].marginMm[at]; }
  }
  double *columns[] = {timesS, ringDeg, focusMm, nearMm, farMm, stop, objectMm, toTapeMm, focal};
  for (int c = 0; c < 9; c++) free(columns[c]);
  for (int s = 0; s < subjectCount; s++) { free(subjects[s].distanceMm); free(subjects[s].blurCircles); free(subjects[s].marginMm); free(subjects[s].sharp); }
  free(sameUntil);
  free(state);
}

static double nowMs(void) {
  struct timespec t;
  clock_gettime(CLOCK_MONOTONIC, &t);
  return t.tv_sec * 1e3 + t.tv_nsec / 1e6;
}

int main(int argc, char **argv) {
  FILE *file = argc > 1 ? fopen(argv[1], "rb") : NULL;
  double v[4096];
  if (!file || !fread(v, sizeof(double), 4096, file)) return 1;
  double *at = v;
  int rounds = *at++, inRound = *at++;
  frames = *at++; fps = *at++; focalMm = *at++; fNumber = *at++; circleMm = *at++; separationMm = *at++; degPerMm = *at++;
  startDeg = *at++; maxHandDegPerS = *at++; reactionS = *at++; perBitS = *at++;
  pullCount = *at++; subjectCount = *at++; beatCount = *at++;
  for (int p = 0; p < pullCount; p++, at += 6) pulls[p] = (Pull){at[0], at[1], at[2], at[3], at[4], at[5]};
  for (int s = 0; s < subjectCount; s++) subjectMm[s] = *at++;
  for (int b = 0; b < beatCount; b++, at += 3) beats[b] = (Beat){at[0], at[1], at[2]};
  double bestMs = INFINITY;
  for (int round = 0; round < rounds; round++) {
    double startedMs = nowMs();
    for (int k = 0; k < inRound; k++) judge();
    double ms = (nowMs() - startedMs) / inRound;
    if (ms < bestMs) bestMs = ms;
  }
  printf("%.17g %.17g %.17g %.17g %.17g %.17g %.17g %.17g %.17g %.9f\n", requiredFrames, sharpFrames, softSpanCount, peakDegPerS, tightestMm, blurSum,
         marginSum, ringSum, neededSum, bestMs);
}
