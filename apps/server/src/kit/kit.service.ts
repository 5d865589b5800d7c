import { Inject, Injectable, type OnModuleInit } from '@nestjs/common';
import { KIT_FORMAT, type KitFile, type KitImportView, type KitItemView, type SaveKitItem } from '@still-heron/contract';
import { checkKitItem, KIT_KINDS, type KitItems, type KitKind, PlanError, type Problem, upgradeKitItem } from '@still-heron/core';
import { isDeepStrictEqual } from 'node:util';
import { notFound, versionConflict } from '../http/request-problem.js';
import { KitRepository, type KitRow } from './kit.repository.js';

/** How long a deletion can be undone. */
const KEPT_DAYS = 30;
const DAY_MS = 24 * 3600 * 1000;

@Injectable()
export class KitService implements OnModuleInit {
  constructor(@Inject(KitRepository) private readonly repository: KitRepository) {}

  async onModuleInit(): Promise<void> {
    await this.repository.prune(new Date(Date.now() - KEPT_DAYS * DAY_MS));
  }

  async byName<K extends KitKind>(kind: K): Promise<KitItemView<K>[]> {
    return (await this.repository.byName(kind)).map(toView);
  }

  /** @throws {RequestProblem} 404 */
  async find<K extends KitKind>(kind: K, id: string): Promise<KitItemView<K>> {
    return toView(await this.row(kind, id));
  }

  /** @throws {PlanError} if the item is invalid */
  async create<K extends KitKind>(kind: K, item: unknown): Promise<KitItemView<K>> {
    const [row] = await this.repository.insert([{ kind, item: checked(kind, item) }]);
    return toView(row!);
  }

  /** @throws {PlanError}, {RequestProblem} 404, 409 with the stored version */
  async save<K extends KitKind>(kind: K, id: string, { version, item }: SaveKitItem): Promise<KitItemView<K>> {
    const saved = await this.repository.save(kind, id, version, checked(kind, item));
    if (saved) return toView(saved);
    const stored = await this.find(kind, id);
    throw versionConflict(version, stored.version, stored);
  }

  /** Shots keep their copies. @throws {RequestProblem} 404, 409 with the stored version */
  async remove(kind: KitKind, id: string, version: number): Promise<void> {
    if (await this.repository.setDeleted(kind, id, version, true)) return;
    const stored = await this.find(kind, id);
    throw versionConflict(version, stored.version, stored);
  }

  /** Undoes a deletion. @throws {RequestProblem} 404 if the item is not deleted, or gone */
  async restore<K extends KitKind>(kind: K, id: string): Promise<KitItemView<K>> {
    if (!(await this.repository.setDeleted(kind, id, null, false))) throw notFound('kit item');
    return this.find(kind, id);
  }

  /** The whole kit as a file that `import` reads. */
  async export(): Promise<KitFile> {
    const items = async <K extends KitKind>(kind: K) => (await this.repository.byName(kind)).map(({ item }) => item);
    return {
      format: KIT_FORMAT,
      schema: 1,
      cameras: await items('cameras'),
      lenses: await items('lenses'),
      wheels: await items('wheels'),
      rigs: await items('rigs'),
    };
  }

  /**
   * Imports a file: all of it, or nothing if anything in it is invalid. Items that exist already with equal figures are
   * skipped.
   *
   * @throws {PlanError} with every problem and its place in the file
   */
  async import(given: KitFile): Promise<KitImportView> {
    const file = upgradedFile(given);
    const problems = KIT_KINDS.flatMap((kind) =>
      file[kind].flatMap((item, index) =>
        checkKitItem(kind, item).map((problem) => ({
          ...problem,
          path: `${kind}[${index}]${problem.path && `.${problem.path}`}`,
        })),
      ),
    );
    refuse(problems);
    const fresh: { kind: KitKind; item: KitItems[KitKind] }[] = [];
    let alreadyThere = 0;
    for (const kind of KIT_KINDS) {
      const known = new Map<string, unknown[]>();
      const remember = (name: string, item: unknown) => known.set(name, [...(known.get(name) ?? []), item]);
      for (const { name, item } of await this.repository.byName(kind)) remember(name, item);
      for (const item of file[kind]) {
        const name = 'lens' in item ? item.lens.name : item.name;
        if (known.get(name)?.some((other) => isDeepStrictEqual(other, item))) alreadyThere++;
        else {
          fresh.push({ kind, item });
          remember(name, item);
        }
      }
    }
    await this.repository.insert(fresh);
    return { added: fresh.length, alreadyThere };
  }

  private async row<K extends KitKind>(kind: K, id: string): Promise<KitRow<K>> {
    const row = await this.repository.find(kind, id);
    if (!row) throw notFound('kit item');
    return row;
  }
}

function checked<K extends KitKind>(kind: K, given: unknown): KitItems[K] {
  const item = upgradeKitItem(kind, given);
  refuse(
    checkKitItem(kind, item).map((problem) => ({ ...problem, path: problem.path === '' ? 'item' : `item.${problem.path}` })),
  );
  return item as KitItems[K];
}

/** A file of any version of the program, with its items as this one has them. */
function upgradedFile(file: KitFile): KitFile {
  const items = KIT_KINDS.map((kind) => [kind, file[kind].map((item: unknown) => upgradeKitItem(kind, item))]);
  return { ...file, ...(Object.fromEntries(items) as Pick<KitFile, KitKind>) };
}

/** @throws {PlanError} if there is any problem */
function refuse([first, ...others]: readonly Problem[]): void {
  if (first) throw new PlanError([first, ...others]);
}

function toView<K extends KitKind>({ id, version, item, updatedAt }: KitRow<K>): KitItemView<K> {
  return { id, version, item, updatedAt: updatedAt.toISOString() };
}
