import type { z } from 'zod';

/** What is wrong with a field, in a sentence that says what is allowed; the schema's own words go before. */
export function faultText(issue: z.core.$ZodRawIssue): string | undefined {
  switch (issue.code) {
    case 'too_small':
      if (issue.origin === 'string') return 'Write something here.';
      if (issue.origin === 'array') return 'At least one.';
      return issue.inclusive ? `At least ${issue.minimum}.` : `More than ${issue.minimum}.`;
    case 'too_big':
      if (issue.origin === 'string') return `At most ${issue.maximum} letters.`;
      return `At most ${issue.maximum}.`;
    case 'invalid_type':
      if (issue.input === undefined) return 'This is missing.';
      return issue.expected === 'int' ? 'A whole number.' : issue.expected === 'number' ? 'A number.' : undefined;
    case 'invalid_value':
      return `One of: ${issue.values.join(', ')}.`;
    default:
      return undefined;
  }
}
