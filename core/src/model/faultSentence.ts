import type { z } from 'zod';
import { isPlural, partAt } from './partNames';

function valueAt(data: unknown, path: readonly PropertyKey[]): unknown {
  return path.reduce<unknown>(
    (value, key) =>
      typeof value === 'object' && value !== null ? (value as Record<PropertyKey, unknown>)[key] : undefined,
    data,
  );
}

const MAX_QUOTE_LENGTH = 30;
const written = (number: number | bigint): string =>
  number.toLocaleString('en-GB', { maximumFractionDigits: 6 });
function quoted(value: unknown): string {
  if (typeof value === 'number') return written(value);
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object' && value !== null) return 'an object';
  const text = String(value);
  return `“${text.length > MAX_QUOTE_LENGTH ? `${text.slice(0, MAX_QUOTE_LENGTH)}…` : text}”`;
}

const TYPES: Readonly<Record<string, string>> = {
  string: 'text',
  number: 'a number',
  int: 'a whole number',
  boolean: 'true or false',
  array: 'a list',
  tuple: 'a list',
  object: 'an object with fields of its own',
  record: 'an object with fields of its own',
  null: 'null',
};

/** How texts of some kinds are written. */
const WRITTEN_AS: Readonly<Record<string, string>> = {
  sha256: '64 digits from 0 to 9 and a to f',
};

function outOfRange(value: unknown, limit: number | bigint, end: 'most' | 'least', origin: string): string {
  if (origin === 'string')
    return end === 'least' ? 'is empty' : `is longer than ${written(limit)} characters`;
  if (origin === 'array')
    return `${Array.isArray(value) ? `are ${written(value.length)}` : 'are too many'}, and ${written(limit)} is the ${end}`;
  return `is ${quoted(value)}, and ${written(limit)} is the ${end}`;
}

function typeFault(value: unknown, expected: string, verb: 'is' | 'are'): string {
  if (value === undefined) return `${verb} missing`;
  if (expected === 'number' && typeof value === 'number') return 'is too large a number';
  return `${verb} ${quoted(value)}, and must be ${TYPES[expected] ?? `of the type ${expected}`}`;
}

function faultOf(issue: z.core.$ZodIssue, value: unknown): string {
  const verb = isPlural(issue.path) ? 'are' : 'is';
  switch (issue.code) {
    case 'too_big':
      return outOfRange(value, issue.maximum, 'most', issue.origin);
    case 'too_small':
      return outOfRange(value, issue.minimum, 'least', issue.origin);
    case 'invalid_type':
      return typeFault(value, issue.expected, verb);
    case 'invalid_value':
      if (value === undefined) return `${verb} missing`;
      return `is ${quoted(value)}, and must be ${listed(issue.values)}`;
    case 'invalid_union':
      if (value === undefined) return `${verb} missing`;
      return 'discriminator' in issue && issue.discriminator
        ? `is ${quoted(value)}, which is unknown`
        : `is ${quoted(value)}, which cannot be`;
    case 'invalid_format': {
      const how = WRITTEN_AS[String(issue.path[issue.path.length - 1])];
      return `is ${quoted(value)}, and must be ${how ?? 'written otherwise'}`;
    }
    case 'custom':
      return `${verb} wrong: ${issue.message}`;
    default:
      return `${verb} not what belongs there`;
  }
}

const LISTED = 12;

function listed(values: readonly unknown[]): string {
  const shown = values
    .slice(0, LISTED)
    .map((value) => (typeof value === 'string' ? `“${value}”` : String(value)));
  if (values.length > LISTED) return `one of ${shown.join(', ')} …`;
  return shown.length === 1 ? shown[0]! : `${shown.slice(0, -1).join(', ')} or ${shown[shown.length - 1]!}`;
}

/**
 * The first thing that a check by schema found, in the words of the interface and without an end: `the width
 * of picture 1 of the backdrop is 70,000, and 65,535 is the most`.
 * @param data what was checked
 */
export function firstFault(error: z.ZodError, data: unknown): string {
  const issue = error.issues[0];
  if (!issue) return 'it does not fit the format';
  const place = partAt(issue.path);
  if (place === '' && issue.code === 'custom') return issue.message;
  return `${place || 'it'} ${faultOf(issue, valueAt(data, issue.path))}`;
}
