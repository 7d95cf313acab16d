import { ChangeDetectionStrategy, Component, computed, inject, input } from '@angular/core';
import { RouterLink } from '@angular/router';
import type { Case } from '@field-nurse/contract';
import { mustReport } from '@field-nurse/core/treatment';
import { Garden } from '../gardens/garden';
import { dayWord } from '../shared/days';
import {
  continentWords,
  evidenceWords,
  kindWords,
  onsetWords,
  patternWords,
  roleWords,
  rungWords,
  settingWords,
  stageWords,
} from '../shared/words';
import { Disputes } from './disputes';
import { EntryLink } from '../library/entry-link';
import { Library } from '../library/library';
import { signsOf } from '../library/library-search';
import { SeasonStrip } from './season-strip';
import { SignTile } from '../library/sign-tile';
import { StageList } from './stage-list';

const frequencyWords = { always: 'nearly always', often: 'often', sometimes: 'sometimes', seldom: 'seldom', never: 'never' } as const;
/** A trouble or a friend: its signs, stages, season, look-alikes, and what helps when. */
@Component({
  selector: 'fn-condition-entry',
  imports: [Disputes, EntryLink, RouterLink, SeasonStrip, SignTile, StageList],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styleUrl: './entry.scss',
  templateUrl: './condition-entry.html',
})
export class ConditionEntry {
  protected readonly garden = inject(Garden);
  protected readonly library = inject(Library);
  /** id of the condition */
  readonly entry = input.required<string>();
  protected readonly one = computed(() => this.library.conditions().get(this.entry())!);
  protected readonly signs = computed(() => signsOf(this.one()).filter(({ frequency }) => frequency !== 'never'));
  protected readonly excluded = computed(() => signsOf(this.one()).filter(({ frequency }) => frequency === 'never'));
  protected readonly leaf = computed(() => this.library.leafOf(this.one()));
  protected readonly hostGroups = computed(() => {
    const { often, sometimes, seldom } = this.one().hosts;
    return [
      { word: 'Often', hosts: often },
      { word: 'Sometimes', hosts: sometimes },
      { word: 'Seldom', hosts: seldom },
    ].filter(({ hosts }) => hosts.length > 0);
  });
  protected readonly treatments = computed(() =>
    Object.entries(rungWords).flatMap(([rung, { word }]) => {
      const own = this.one().treat.filter(({ intervention }) => this.library.interventions().get(intervention)?.rung === rung);
      return own.length > 0 ? [{ word, own }] : [];
    }),
  );
  protected readonly openCases = computed(() =>
    this.garden.cases().filter((one) => !one.closedOn && one.diagnoses.at(-1)?.conditions.includes(this.entry())),
  );
  protected readonly caseLine = ({ plantingId, openedOn }: Case) => {
    const planting = this.garden.planting(plantingId);
    const plant = [this.library.hostName(planting?.host ?? ''), planting?.cultivar].filter(Boolean).join(' ');
    return `${plant}, ${this.garden.place(planting?.placeId ?? '')?.name}, since ${dayWord(openedOn, this.garden.today())}`;
  };
  protected readonly south = computed(() => (this.garden.summary().latitude ?? 1) < 0);
  protected readonly notifiable = computed(() => {
    const { region, notListed } = this.garden.summary();
    const rules = this.library.index()?.regions.find(({ id }) => id === region);
    return rules !== undefined && mustReport(this.one(), { region: rules, notListed }) === 'report';
  });
  protected readonly range = computed(() =>
    this.one()
      .range.map((id) => continentWords[id])
      .join(', '),
  );

  protected readonly kinds = kindWords;
  protected readonly roles = roleWords;
  protected readonly frequencies = frequencyWords;
  protected readonly stages = stageWords;
  protected readonly evidences = evidenceWords;
  protected readonly isHost = (id: string) => this.library.hosts().has(id);
  protected readonly settings = computed(() =>
    this.one()
      .settings.map((setting) => settingWords[setting]?.toLowerCase())
      .join(', '),
  );
  protected readonly comes = computed(() => onsetWords[this.one().onset]?.toLowerCase());
  protected readonly spreads = computed(() =>
    this.one()
      .patterns.map((pattern) => patternWords[pattern]?.toLowerCase())
      .join(', '),
  );
}
