import { createContext, type ReactNode, useContext } from 'react';

/** Something that is told in a corner of the page. */
export interface Notice {
  /** One at a time has this key */
  readonly key: string;
  readonly title: string | null;
  readonly description?: ReactNode;
  readonly actions?: ReactNode;
  /** In seconds; 0 for until it is closed by `close` */
  readonly durationS: number;
}

/** Tells what happened, beside the content of the page. */
export interface Notices {
  /** Something was refused or failed */
  fail(text: string): void;
  /** Something was done */
  tell(text: string): void;
  show(notice: Notice): void;
  close(key: string): void;
}

/** Notices until the part of the page that shows them is there. */
export interface NoticeLine {
  readonly notices: Notices;
  /** Hands over what waits, and everything after it. */
  connect(place: Notices): void;
}

/**
 * Keeps notices in order until there is a place for them.
 *
 * @param onWaiting - called for each notice that has to wait
 */
export function createNoticeLine(onWaiting: () => void): NoticeLine {
  let place: Notices | null = null;
  const waiting: ((place: Notices) => void)[] = [];
  const pass = (hand: (place: Notices) => void) => {
    if (place) return hand(place);
    waiting.push(hand);
    onWaiting();
  };
  return {
    notices: {
      fail: (text) => pass((there) => there.fail(text)),
      tell: (text) => pass((there) => there.tell(text)),
      show: (notice) => pass((there) => there.show(notice)),
      close: (key) => pass((there) => there.close(key)),
    },
    connect: (found) => {
      place = found;
      for (const hand of waiting.splice(0)) hand(found);
    },
  };
}

export const NoticesContext = createContext<Notices>(createNoticeLine(() => undefined).notices);

/** Notices of the page. */
export function useNotices(): Notices {
  return useContext(NoticesContext);
}
