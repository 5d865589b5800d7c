import type { ArgumentsHost } from '@nestjs/common';
import type { ErrorBody } from '@still-heron/contract';
import { ProblemFilter } from '../src/http/problem.filter';

/** What the server answers when a database call fails, wrapped as the database library wraps it. */
function answerTo(code: string): { status: number; body: ErrorBody } {
  const answer = { status: 0, body: {} as ErrorBody };
  const response = {
    headersSent: false,
    removeHeader: () => undefined,
    status: (status: number) => ({ json: (body: ErrorBody) => Object.assign(answer, { status, body }) }),
  };
  const host = { switchToHttp: () => ({ getResponse: () => response }) } as unknown as ArgumentsHost;
  const cause = Object.assign(new Error('from the database'), { code });
  new ProblemFilter().catch(new Error('Failed query', { cause }), host);
  return answer;
}

test.each([
  ['a full disk, as PostgreSQL says it', '53100', 507, 'disk-full'],
  ['a full disk, as the system says it', 'ENOSPC', 507, 'disk-full'],
  ['a database that was shut down', '57P01', 503, 'database-away'],
  ['a database that starts', '57P03', 503, 'database-away'],
  ['a connection that broke', '08006', 503, 'database-away'],
  ['a database that is not there', 'ECONNREFUSED', 503, 'database-away'],
  ['too many connections', '53300', 503, 'database-away'],
  ['a deadlock', '40P01', 503, 'busy'],
])('%s passes, and has a code of its own', (_, code, status, said) => {
  const answer = answerTo(code);
  expect([answer.status, answer.body.code]).toEqual([status, said]);
  expect(answer.body.need).toMatch(/./);
});
