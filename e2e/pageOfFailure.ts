import type { Reporter, TestCase, TestResult } from '@playwright/test/reporter';
import { readFileSync } from 'node:fs';

const linesTold = 80;

/** Prints what the page held where a test failed: elsewhere nobody can look at its files. */
export default class PageOfFailure implements Reporter {
  onTestEnd(test: TestCase, { status, attachments }: TestResult): void {
    if (status === test.expectedStatus) return;
    const context = attachments.find(({ name }) => name === 'error-context');
    const text = context?.body?.toString() ?? (context?.path ? readFileSync(context.path, 'utf8') : '');
    const page = text.slice(Math.max(0, text.indexOf('# Page snapshot')));
    if (page) console.log(`The page of “${test.title}”:\n${page.split('\n').slice(0, linesTold).join('\n')}`);
  }
}
