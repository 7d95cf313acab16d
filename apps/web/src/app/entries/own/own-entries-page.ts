import { ChangeDetectionStrategy, Component, computed, inject, signal } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { RouterLink } from '@angular/router';
import type { OwnEntry } from '@field-nurse/contract';
import { historyOf } from '@field-nurse/core/diagnosis';
import { ApiError } from '../../api/api-error';
import { Garden } from '../../gardens/garden';
import { Records } from '../../gardens/records';
import { saveFile } from '../../shared/save-file';
import { EntryLink } from '../../library/entry-link';
import { Library } from '../../library/library';
import type { OwnFile } from './own-draft';
import { ownKinds } from '@field-nurse/library/own';
import { ownKindWords, readOwnFile } from './own-draft';

/** What this garden knows beyond the reference library: its own entries, and the cases that move its chances. */
@Component({
  selector: 'fn-own-entries-page',
  imports: [EntryLink, MatButtonModule, RouterLink],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './own-entries-page.scss',
  templateUrl: './own-entries-page.html',
})
export class OwnEntriesPage {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  readonly #records = inject(Records);
  protected readonly kinds = ownKindWords;
  protected readonly entries = computed(() =>
    this.garden
      .ownEntries()
      .filter(({ endedOn }) => !endedOn)
      .sort((a, b) => a.entry.name.localeCompare(b.entry.name)),
  );
  /** confirmed cases by trouble and plant, most first */
  protected readonly history = computed(() =>
    [...historyOf(this.garden.caseLines())].sort((a, b) => b.count - a.count || a.condition.localeCompare(b.condition)),
  );
  protected readonly report = signal<readonly string[]>([]);
  protected readonly busy = signal(false);

  protected async drop(one: OwnEntry): Promise<void> {
    const { id, version, ...value } = one;
    await this.#tell(async () => {
      await this.#records.save('ownEntries', id, version, { ...value, endedOn: this.garden.today() }, `${one.entry.name} is taken out.`);
    });
  }

  protected share(): void {
    const entries = this.entries().map(({ kind, entry, why }) => ({ kind, entry, why }));
    const file: OwnFile = { format: 'field-nurse-library', version: 1, entries };
    saveFile(`library ${this.garden.summary().name}.json`, 'application/json', JSON.stringify(file, null, 2));
  }

  protected async takeIn(event: Event): Promise<void> {
    const field = event.target as HTMLInputElement;
    const file = field.files?.[0];
    field.value = '';
    if (!file) return;
    const read = readOwnFile(await file.text());
    if (typeof read === 'string') return this.report.set([read]);
    this.busy.set(true);
    const lines: string[] = [];
    const inOrder = [...read].sort((a, b) => ownKinds.indexOf(a.kind) - ownKinds.indexOf(b.kind));
    for (const { kind, entry, why } of inOrder) {
      const known = this.garden.ownEntries().find((one) => one.kind === kind && one.entry.id === entry.id && !one.endedOn);
      const value = { kind, entry, why: why ?? '', endedOn: null };
      try {
        await this.#records.save('ownEntries', known?.id ?? crypto.randomUUID(), known?.version ?? 0, value);
        lines.push(`${entry.name ?? entry.id}: taken in.`);
      } catch (error) {
        lines.push(`${entry.name ?? entry.id}: left out. ${ApiError.from(error).message}`);
      }
    }
    this.report.set(lines);
    this.busy.set(false);
  }

  async #tell(work: () => Promise<void>): Promise<void> {
    this.report.set([]);
    try {
      await work();
    } catch (error) {
      this.report.set([ApiError.from(error).message]);
    }
  }
}
