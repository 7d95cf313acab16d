import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { MatButtonModule } from '@angular/material/button';
import { MatIconModule } from '@angular/material/icon';
import type { Planting } from '../gardens/plantings-now';
import { ClinicSamples } from '../clinic/clinic-samples';
import { resultWords } from '../clinic/clinic-words';
import { Garden } from '../gardens/garden';
import { Library } from '../library/library';
import { dayWord, longDay } from '../shared/days';
import { saveFile } from '../shared/save-file';
import { advice, onsetWords, patternWords, settingWords } from '../shared/words';
import type { Chip } from '../cases/case-findings';
import { isDoubtful } from '../cases/case-findings';
import { CaseHead } from '../cases/case-head';
import { caseReckoning } from '../cases/case-reckoning';
import { caseSheet } from './case-sheet';
import { CaseTimeline } from '../cases/case-timeline';
import { chanceWord } from '../cases/chance';

const causesShown = 6;

/** A case on one sheet for a second opinion: printed, or saved as a file. */
@Component({
  selector: 'fn-sheet-page',
  imports: [CaseHead, CaseTimeline, MatButtonModule, MatIconModule],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './sheet-page.scss',
  templateUrl: './sheet-page.html',
})
export class SheetPage {
  readonly #clinics = inject(ClinicSamples);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** id of the case in the address */
  readonly case = input.required<string>();
  protected readonly one = computed(() => this.garden.case(this.case()));
  protected readonly planting = computed(() => this.garden.planting(this.one()?.plantingId ?? ''));
  protected readonly place = computed(() => this.garden.place(this.planting()?.placeId ?? ''));
  protected readonly seen = computed(() => this.one()?.findings.filter(({ state }) => state === 'seen') ?? []);
  protected readonly absent = computed(() => this.one()?.findings.filter(({ state }) => state === 'absent') ?? []);
  protected readonly old = computed(() => this.one()?.findings.filter(({ state }) => state === 'old') ?? []);
  readonly #reckoned = caseReckoning(this.case);
  protected readonly answer = this.#reckoned.answer;
  /** read from the grower's words, and not yet confirmed */
  protected readonly read = computed(() => this.#reckoned.chips().filter(({ confirmed }) => !confirmed));
  protected readonly causes = computed(() => this.answer()?.ranked.slice(0, causesShown) ?? []);
  protected readonly samples = computed(() => this.#clinics.of(this.case()).filter(({ results }) => results.length > 0));
  protected readonly results = resultWords;
  protected readonly onsets = onsetWords;
  protected readonly patterns = patternWords;
  protected readonly settings = settingWords;
  protected readonly advice = advice;
  protected readonly chance = chanceWord;
  protected readonly day = (day: string) => dayWord(day, this.garden.today());
  protected readonly long = longDay;

  protected readonly names = (findings: readonly { readonly sign: string }[]) =>
    findings.length > 0 ? `${findings.map(({ sign }) => this.library.signName(sign)).join('; ')}.` : '';
  protected readonly readings = (chips: readonly Chip[]) =>
    chips.map((chip) => `${this.states([chip])}${isDoubtful(chip) ? ' (perhaps)' : ''}`).join('; ');
  protected readonly states = (evidence: readonly { readonly sign: string; readonly state: string }[]) =>
    evidence.map(({ sign, state }) => `${state === 'absent' ? 'no ' : ''}${this.library.signName(sign)}`).join('; ');
  protected readonly plantLine = ({ host, cultivar, plants }: Planting) =>
    `${[this.library.hostName(host), cultivar].filter(Boolean).join(' ')}, ${plants} ${plants === 1 ? 'plant' : 'plants'}`;

  protected print(): void {
    window.print();
  }

  protected save(): void {
    const [one, planting, answer] = [this.one(), this.planting(), this.answer()];
    if (!one || !planting || !answer) return;
    const sheet = caseSheet({
      one,
      planting,
      place: this.place(),
      garden: this.garden.summary(),
      read: this.read(),
      answer,
      nameOf: {
        sign: this.library.signName,
        condition: this.library.conditionName,
        host: this.library.hostName,
        intervention: this.library.interventionName,
      },
      samples: this.samples(),
      treatments: this.garden.applied().filter(({ caseId }) => caseId === one.id),
      made: this.garden.now(),
    });
    saveFile(`case-${planting.host}-${one.openedOn}.json`, 'application/json', JSON.stringify(sheet, null, 2));
  }
}
