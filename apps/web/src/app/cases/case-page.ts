import { ChangeDetectionStrategy, Component, computed, inject, input, linkedSignal } from '@angular/core';
import { NgTemplateOutlet } from '@angular/common';
import { FormsModule } from '@angular/forms';
import { MatButtonModule } from '@angular/material/button';
import { MatFormFieldModule } from '@angular/material/form-field';
import { MatInputModule } from '@angular/material/input';
import { MatSelectModule } from '@angular/material/select';
import { Router, RouterLink } from '@angular/router';
import type { Written } from '@field-nurse/contract';
import { ClinicPanel } from '../clinic/clinic-panel';
import { Garden } from '../gardens/garden';
import { PhotoTaker } from '../gardens/photo-taker';
import { Library } from '../library/library';
import { onsetWords, patternWords } from '../shared/words';
import { toggled, withDiagnosis, workingConditions } from './case-diagnoses';
import { isAtHand } from './at-hand';
import { CaseComments } from './case-comments';
import { caseInEdit } from './case-edits';
import { caseOptions } from './case-options';
import type { Chip, SignState } from './case-findings';
import { withFinding } from './case-findings';
import { CaseGlance } from './case-glance';
import { CaseHead } from './case-head';
import { caseReckoning } from './case-reckoning';
import { CaseTimeline } from './case-timeline';
import { CauseList } from './cause-list';
import { FindingChips } from './finding-chips';
import { NextChecks } from './next-checks';
import { NotifiableNotice } from './notifiable-notice';
import { SignPalette } from './sign-palette';
import { suspectsIn } from './suspects';
import { WhyNot } from './why-not';
import { WorkingDiagnosis } from './working-diagnosis';

// As sure as at the door.
const worthTreating = 0.3;

/** What is it? Words and drawn signs on the left, causes in the middle, the next look on the right. */
@Component({
  selector: 'fn-case-page',
  imports: [
    FormsModule,
    RouterLink,
    MatButtonModule,
    MatFormFieldModule,
    MatInputModule,
    MatSelectModule,
    NgTemplateOutlet,
    CaseComments,
    CaseGlance,
    CaseHead,
    CaseTimeline,
    CauseList,
    ClinicPanel,
    FindingChips,
    NextChecks,
    NotifiableNotice,
    PhotoTaker,
    SignPalette,
    WhyNot,
    WorkingDiagnosis,
  ],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './case-page.scss',
  templateUrl: './case-page.html',
})
export class CasePage {
  readonly #router = inject(Router);
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** id of the case in the address */
  readonly case = input.required<string>();
  protected readonly edits = caseInEdit(this.case);
  protected readonly onsets = Object.entries(onsetWords);
  protected readonly patterns = Object.entries(patternWords);

  protected readonly value = this.edits.value;
  protected readonly host = computed(() => this.library.hosts().get(this.edits.planting()?.host ?? ''));
  protected readonly canWrite = computed(() => this.garden.canWrite() && !this.value()?.closedOn);
  protected readonly words = computed(() => this.value()?.words ?? '');
  protected readonly working = computed(() => workingConditions(this.value()?.diagnoses ?? []));
  /** a cause that is asked about by name */
  protected readonly asked = linkedSignal<string, string | undefined>({ source: this.case, computation: () => undefined });

  protected readonly reckoned = caseReckoning(this.case, {
    value: this.value,
    planting: this.edits.planting,
    words: this.words,
    asked: this.asked,
  });
  protected readonly answer = this.reckoned.answer;
  protected readonly options = caseOptions(this.case);
  /** the likeliest cause, where it is likely enough to be treated for */
  protected readonly likely = computed(() => this.answer()?.ranked.find(({ probability }) => probability >= worthTreating));
  protected readonly states = computed(
    () => new Map<string, SignState>(this.reckoned.chips().map(({ sign, state }) => [sign, state])) as ReadonlyMap<string, SignState>,
  );
  protected readonly unconfirmed = computed(() => this.reckoned.chips().filter(({ confirmed }) => !confirmed));
  protected readonly suspects = computed(() => suspectsIn(this.answer(), this.library.known()?.regions, this.garden.summary().region));

  constructor() {
    isAtHand(() => ({ planting: this.edits.planting()?.id }));
  }

  protected tap({ sign, state }: { sign: string; state: SignState }): void {
    // A reading of the words would come straight back: taking it away must be remembered.
    this.#record(sign, state === 'not-looked' && this.reckoned.isRead(sign) ? 'struck' : state, 'tap', null);
  }

  protected confirm(chip: Chip): void {
    this.#record(chip.sign, chip.state, 'text', chip.phrase);
  }

  protected confirmAll(): void {
    this.unconfirmed().forEach((chip) => this.confirm(chip));
  }

  /** An old scar, or new after all. */
  protected age({ sign, state, phrase }: Chip): void {
    this.#record(sign, state === 'old' ? 'seen' : 'old', 'tap', phrase);
  }

  protected lookAnswered({ sign, state }: { sign: string; state: SignState }): void {
    this.#record(sign, state, 'look', null);
  }

  protected noneThere(signs: readonly string[]): void {
    signs.forEach((sign) => this.#record(sign, 'absent', 'look', null));
  }

  protected remove({ sign }: Chip): void {
    this.tap({ sign, state: 'not-looked' });
  }

  protected set<K extends 'onset' | 'pattern'>(field: K, choice: Written<'cases'>[K]): void {
    this.edits.change((value) => ({ ...value, [field]: choice }));
  }

  protected take(condition: string): void {
    const conditions = toggled(this.working(), condition);
    const today = this.garden.today();
    const names = this.library.conditionNames(conditions, '');
    this.edits.change(
      (value) => ({ ...value, diagnoses: withDiagnosis(value.diagnoses, today, conditions, '') }),
      names ? `Working with ${names}.` : 'No working diagnosis.',
    );
  }

  /** Take a cause, and see what can be done about it. */
  protected async treat(condition: string): Promise<void> {
    this.take(condition);
    await this.#router.navigate(['/g', this.garden.summary().id, 'cases', this.case(), 'options']);
  }

  protected photograph(photos: readonly string[]): void {
    this.edits.change((value) => ({ ...value, photos: [...photos] }));
  }

  protected explain(why: string): void {
    this.edits.change((value) => {
      const last = value.diagnoses.at(-1);
      return last ? { ...value, diagnoses: [...value.diagnoses.slice(0, -1), { ...last, why }] } : value;
    });
  }

  #record(sign: string, state: SignState, source: 'text' | 'tap' | 'look', phrase: string | null): void {
    const on = this.garden.today();
    this.edits.change((value) => ({ ...value, findings: withFinding(value.findings, { sign, state, source, phrase, on }) }));
  }
}
