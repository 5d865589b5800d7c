import type { ShotSetupView } from '@still-heron/contract';
import { type Method, METHODS, type ShotPlan, wheelNearerTurns } from '@still-heron/core';

/** What a row shows of a plan, which may be broken. */
export function partsOf(plan: ShotPlan): SetupParts {
  const { optics, method, laterMethods, wheel } = plan as Partial<ShotPlan>;
  const lens = optics?.lens as Partial<ShotPlan['optics']['lens']> | undefined;
  const { stopScale, nearerTurns } = lens ?? {};
  return { focalLengthMm: optics?.focalLengthMm, stop: optics?.stop, stopScale, method, laterMethods, nearerTurns, wheel };
}

/** The set-up that a row shows; null if its parts are broken. */
export function setupOf(parts: SetupParts): ShotSetupView | null {
  return isSetup(parts) ? pickSetup(parts) : null;
}

/** Parts of a stored plan, not checked yet. `nearerTurns` is that of the lens */
type SetupParts = { readonly [K in keyof ShotSetupView | 'wheel']: unknown };

function isSetup(parts: SetupParts): parts is Omit<ShotSetupView, 'laterMethods'> & Pick<ShotPlan, 'wheel'> & SetupParts {
  const { focalLengthMm, stop, stopScale, method, nearerTurns, wheel } = parts;
  return (
    [focalLengthMm, stop].every((value) => typeof value === 'number' && Number.isFinite(value)) &&
    (stopScale === 'T' || stopScale === 'f') &&
    METHODS.some((known) => known === method) &&
    (nearerTurns === 'clockwise' || nearerTurns === 'anticlockwise') &&
    typeof wheel === 'object'
  );
}

function pickSetup({
  focalLengthMm,
  stop,
  stopScale,
  method,
  laterMethods,
  nearerTurns,
  wheel,
}: Omit<ShotSetupView, 'laterMethods'> & Pick<ShotPlan, 'wheel'> & SetupParts): ShotSetupView {
  return {
    focalLengthMm,
    stop,
    stopScale,
    method,
    laterMethods: methodsOfParts(laterMethods),
    nearerTurns: wheelNearerTurns(wheel, nearerTurns),
  };
}

/** Methods of later parts. A plan of an older form has none. */
function methodsOfParts(laterMethods: unknown): Method[] {
  if (!Array.isArray(laterMethods)) return [];
  return laterMethods.flatMap((part: unknown) => {
    const { method } = { ...(part as object | null) } as { readonly method?: unknown };
    return METHODS.find((known) => known === method) ?? [];
  });
}
