import { createNoticeLine, type Notices } from './notices';

/** A place that notes what it is told. */
function noting(): { place: Notices; told: string[] } {
  const told: string[] = [];
  return {
    told,
    place: {
      fail: (text) => told.push(`fail ${text}`),
      tell: (text) => told.push(`tell ${text}`),
      show: ({ key }) => told.push(`show ${key}`),
      close: (key) => told.push(`close ${key}`),
    },
  };
}

test('what is told before the place is there waits for it, and comes in order', () => {
  const asked = jest.fn();
  const { notices, connect } = createNoticeLine(asked);
  expect(asked).not.toHaveBeenCalled();
  notices.show({ key: 'deleted', title: '4B was deleted.', durationS: 8 });
  notices.close('deleted');
  notices.fail('The order was not saved');
  expect(asked).toHaveBeenCalled();
  const { place, told } = noting();
  connect(place);
  expect(told).toEqual(['show deleted', 'close deleted', 'fail The order was not saved']);
  asked.mockClear();
  notices.tell('12 takes were imported');
  expect(told.at(-1)).toBe('tell 12 takes were imported');
  expect(told).toHaveLength(4);
  expect(asked).not.toHaveBeenCalled();
});
