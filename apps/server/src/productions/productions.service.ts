import { Inject, Injectable } from '@nestjs/common';
import type { ChangeProduction, ProductionView } from '@still-heron/contract';
import { notFound, versionConflict } from '../http/request-problem.js';
import { type ProductionRow, ProductionsRepository } from './productions.repository.js';

@Injectable()
export class ProductionsService {
  constructor(@Inject(ProductionsRepository) private readonly repository: ProductionsRepository) {}

  async all(): Promise<ProductionView[]> {
    return (await this.repository.all()).map(toView);
  }

  /** @throws {RequestProblem} 404 */
  async find(id: string): Promise<ProductionView> {
    const row = await this.repository.find(id);
    if (!row) throw notFound('production');
    return toView(row);
  }

  async create(name: string): Promise<ProductionView> {
    return this.find(await this.repository.insert(name.trim()));
  }

  /** @throws {RequestProblem} 404, 409 */
  async change(id: string, { version, name, ...figures }: ChangeProduction): Promise<ProductionView> {
    const stored = await this.find(id);
    const given = Object.entries<unknown>({ ...figures }).filter(([, value]) => value !== undefined);
    const isChanged = await this.repository.update(id, version, {
      ...(name === undefined ? {} : { name: name.trim() }),
      ...Object.fromEntries(given),
    });
    if (!isChanged) throw versionConflict(version, stored.version);
    return this.find(id);
  }
}

function toView({ createdAt: _, updatedAt, ...row }: ProductionRow): ProductionView {
  return { ...row, updatedAt: updatedAt.toISOString() };
}
