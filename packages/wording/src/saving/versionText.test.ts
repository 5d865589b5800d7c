import { savedByText, versionText } from './versionText';

const tablet = { deviceId: 'a', deviceName: 'a tablet' };

test('where a version was saved', () => {
  expect(savedByText(tablet, 'b')).toBe('on a tablet');
  expect(savedByText(tablet, 'a')).toBe('in another window of this device');
  expect(savedByText({ deviceId: '', deviceName: '' }, '')).toBe('elsewhere');
});

test('a version in a line', () => {
  expect(versionText(tablet, ['stop', 'mark', 'pull', 'track-start'], 'b')).toBe(
    'a tablet: the stop, the marks and the focus track',
  );
  expect(versionText(tablet, null, 'a')).toBe('this device');
  expect(versionText({ deviceId: '', deviceName: '' }, ['title'], 'a')).toBe('the title');
  expect(versionText({ deviceId: '', deviceName: '' }, [], 'a')).toBe('');
});
