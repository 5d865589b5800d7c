import type { KitLens } from '@still-heron/core';

const MEDIUM_FOCAL_MM = 60;

/** The lens to start with: the one of medium focal length. Undefined without lenses. */
export function mediumLens<T extends { readonly item: KitLens }>(lenses: readonly T[]): T | undefined {
  const offMedium = ({ item }: T) => Math.abs(item.lens.focalLengthMm - MEDIUM_FOCAL_MM);
  return [...lenses].sort((a, b) => offMedium(a) - offMedium(b))[0];
}
