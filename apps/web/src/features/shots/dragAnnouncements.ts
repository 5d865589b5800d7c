import type { Announcements, UniqueIdentifier } from '@dnd-kit/core';

/**
 * What a screen reader says while a shot is moved: its name and its place, never an id.
 *
 * @param names - by id, in shooting order
 */
export function dragAnnouncements(names: ReadonlyMap<string, string>): Announcements {
  const ids = [...names.keys()];
  const nameOf = (id: UniqueIdentifier) => names.get(String(id)) ?? 'the shot';
  const placeOf = (id: UniqueIdentifier) => `place ${ids.indexOf(String(id)) + 1} of ${ids.length}`;
  return {
    onDragStart: ({ active }) => `Picked up ${nameOf(active.id)}, at ${placeOf(active.id)}.`,
    onDragOver: ({ active, over }) =>
      over ? `${nameOf(active.id)} is over ${placeOf(over.id)}.` : `${nameOf(active.id)} is outside the list.`,
    onDragEnd: ({ active, over }) =>
      over ? `${nameOf(active.id)} was moved to ${placeOf(over.id)}.` : `${nameOf(active.id)} was put back.`,
    onDragCancel: ({ active }) => `Cancelled: ${nameOf(active.id)} is back at ${placeOf(active.id)}.`,
  };
}
