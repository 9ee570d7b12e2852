import type { WholeBrief } from '../../api/client';

/** The layout that a brief names, with its settings. */
export type LayoutSettings = WholeBrief['shape']['layout'];

/** A word of a brief, and what is read for it. */
export interface Said {
  const: string;
  title: string;
}

/** A member of a brief as its published schema has it. */
export interface Schema {
  description?: string;
  type?: string | string[];
  enum?: string[];
  oneOf?: Said[];
  minimum?: number;
  maximum?: number;
  maxLength?: number;
  default?: unknown;
  items?: Schema;
  properties?: Record<string, Schema>;
}

/** What a setting is, told from its schema: each kind has its control. */
export type Kind = 'number' | 'choice' | 'several' | 'words' | 'switch' | 'text' | 'group';

export function kindOf(schema: Schema): Kind {
  const types = [schema.type ?? []].flat();
  if (choices(schema).length > 0) return 'choice';
  if (types.includes('array')) return choices(schema.items).length > 0 ? 'several' : 'words';
  if (types.includes('boolean')) return 'switch';
  if (types.includes('object')) return 'group';
  return types.includes('string') ? 'text' : 'number';
}

/** Words of which it is one; those that nobody put otherwise say themselves. */
export const choices = (schema: Schema | undefined): Said[] =>
  schema?.oneOf ?? (schema?.enum ?? []).map((word) => ({ const: word, title: word }));

export const isNullable = (schema: Schema): boolean => [schema.type ?? []].flat().includes('null');

/** What null means is said behind a semicolon: "Seconds a slide; null: it stands still." */
export function said(schema: Schema): { label: string; none: string } {
  const [label = '', none = ''] = (schema.description ?? '').replace(/\.$/, '').split(/; null(?: is|:)? ?/);
  return { label, none: none || 'none' };
}

/** What a layout has where nobody has said anything. */
export function usualSettings(settings: Record<string, Schema>): Record<string, unknown> {
  return Object.fromEntries(
    Object.entries(settings).map(([member, schema]) => [
      member,
      kindOf(schema) === 'group' ? usualSettings(schema.properties ?? {}) : (schema.default ?? null),
    ]),
  );
}
