import { readFileSync } from 'node:fs';

// Values that the published schema of briefs allows, drawn by chance: what it comes to allow, a layout say, is drawn as well.

export interface Schema {
  type?: string | string[];
  enum?: unknown[];
  const?: unknown;
  oneOf?: Schema[];
  anyOf?: Schema[];
  minimum?: number;
  maximum?: number;
  items?: Schema;
  properties?: Record<string, Schema>;
}

const published = JSON.parse(readFileSync('core/Brief/brief.schema.json', 'utf8')) as Schema;

/** The schema of a part of a brief, by the names of the members that lead there. */
export function schemaOf(...members: string[]): Schema {
  const found = members.reduce<Schema | undefined>((schema, member) => schema?.properties?.[member], published);
  if (!found) throw new Error(`The schema of briefs has no ${members.join('/')}.`);
  return found;
}

/** Layouts by name, as the schema has them: those at the widths of phones are those that can stand in for each other. */
export function layoutsIn(schema: Schema): Record<string, Schema> {
  const all = (schema.oneOf ?? schema.anyOf ?? []).flatMap((one) => (one.oneOf ? one.oneOf : [one]));
  return Object.fromEntries(
    all.flatMap((one) => {
      const name = one.properties?.['name']?.enum?.[0];
      return typeof name === 'string' ? [[name, one] as const] : [];
    }),
  );
}

/** A linear congruential generator: x' = (1103515245 x + 12345) mod 2^31 (ISO C, 7.22.2.1, its example of rand). */
export class Chance {
  #now: number;

  constructor(first: number) {
    this.#now = first;
  }

  next(): number {
    this.#now = (this.#now * 1_103_515_245 + 12_345) % 2 ** 31;
    return this.#now / 2 ** 31;
  }

  whole(least: number, most: number): number {
    return least + Math.floor(this.next() * (most - least + 1));
  }

  one<T>(of: readonly T[]): T {
    return of[this.whole(0, of.length - 1)]!;
  }

  is(often: number): boolean {
    return this.next() < often;
  }

  some<T>(of: readonly T[], most: number): T[] {
    return of
      .map((item) => [this.next(), item] as const)
      .sort(([first], [second]) => first - second)
      .slice(0, most)
      .map(([, item]) => item);
  }

  /** Whatever a schema allows; texts are not drawn. Members are left out as often as not. */
  value(schema: Schema): unknown {
    const types = [schema.type ?? []].flat();
    const choices = schema.enum ?? (schema.oneOf ?? []).flatMap((one) => ('const' in one ? [one.const] : []));
    if (types.includes('null') && this.is(0.5)) return null;
    if (choices.length > 0) return this.one(choices);
    if (types.includes('boolean')) return this.is(0.5);
    if (types.includes('string')) return undefined;
    if (types.includes('integer')) return this.whole(schema.minimum ?? 0, schema.maximum ?? 100);
    if (types.includes('array')) {
      const of = schema.items?.enum ?? (schema.items?.oneOf ?? []).map((one) => one.const);
      return this.some(of, this.whole(0, of.length));
    }
    return Object.fromEntries(
      Object.entries(schema.properties ?? {})
        .filter(([member]) => member !== 'name' && this.is(0.5))
        .map(([member, own]) => [member, this.value(own)] as const)
        .filter(([, value]) => value !== undefined),
    );
  }
}
