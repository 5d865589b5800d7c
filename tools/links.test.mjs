import { execFileSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { ROOT } from './run.mjs';

const documents = execFileSync('git', ['ls-files', '--cached', '--others', '--exclude-standard', '*.md'], {
  cwd: ROOT,
  encoding: 'utf8',
})
  .split('\n')
  .filter((file) => file && existsSync(join(ROOT, file)));

test.each(documents)('every link in %s leads somewhere', (file) => {
  const links = [...readFileSync(join(ROOT, file), 'utf8').matchAll(/\]\(([^)#\s]+)(?:#[^)]*)?\)/g)].map(([, link]) => link);
  const broken = links.filter((link) => !/^https?:/.test(link) && !existsSync(join(ROOT, dirname(file), link)));
  expect(broken).toEqual([]);
});

test.each(documents)('every name in a link of %s that reads as code is in its file', (file) => {
  const text = readFileSync(join(ROOT, file), 'utf8');
  const absent = [...text.matchAll(/\[`([a-z][A-Za-z]+)`\]\(([^)#\s]+\.tsx?)\)/g)].filter(([, name, link]) => {
    const target = join(ROOT, dirname(file), link);
    return !link.endsWith(`/${name}.ts`) && !link.endsWith(`/${name}.tsx`) && !readFileSync(target, 'utf8').includes(name);
  });
  expect(absent.map(([all]) => all)).toEqual([]);
});
