import { methodList, methodName } from '../index';

test('stored methods read as those of a shot do; a name that is not known stays', () => {
  expect(methodName('rack')).toBe(methodList(['rack']));
  expect(methodName('rack fixed automatic')).toBe(methodList(['rack', 'fixed', 'automatic']));
  expect(methodName('magic')).toBe('magic');
});
