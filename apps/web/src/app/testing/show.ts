import type { EnvironmentProviders, Provider, Type } from '@angular/core';
import { provideZonelessChangeDetection, signal } from '@angular/core';
import { TestBed } from '@angular/core/testing';
import { MatIconTestingModule } from '@angular/material/icon/testing';
import { BrowserTestingModule, platformBrowserTesting } from '@angular/platform-browser/testing';
import { provideRouter } from '@angular/router';
import type { GardenContents } from '@field-nurse/contract';
import type { PartName } from '@field-nurse/library/parts';
import { partsOf } from '@field-nurse/library/parts';
import { Store } from '@ngrx/store';
import { configure, fireEvent, within } from '@testing-library/dom';
import { of } from 'rxjs';
import { Api } from '../api/api';
import { appliedTo } from '../gardens/applied';
import { Garden } from '../gardens/garden';
import { atHandOf, shelfNow } from '../gardens/shelf-now';
import { plantingNow } from '../gardens/plantings-now';
import { sessionFeature } from '../store/session-state';
import { reference } from './reference';
import { contents, now, today } from './test-garden';

export { reference };

// What is in sight is a matter of styles, which aren't loaded here: asking for each element takes most of the time.
configure({ defaultHidden: true });
// The simulated page has no screen whose width could be asked for, and nothing moves on it.
const deaf = () => undefined;
globalThis.matchMedia = (media) =>
  ({
    media,
    matches: true,
    addListener: deaf,
    removeListener: deaf,
    addEventListener: deaf,
    removeEventListener: deaf,
  }) as unknown as MediaQueryList;
HTMLElement.prototype.scrollIntoView = deaf;
globalThis.ResizeObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.IntersectionObserver = class {
  observe() {}
  unobserve() {}
  disconnect() {}
} as unknown as typeof IntersectionObserver;

beforeAll(() => TestBed.initTestEnvironment(BrowserTestingModule, platformBrowserTesting()));

/** Put a part of a page on the screen, over the reference library and a small garden. */
export async function show<T>(
  part: Type<T>,
  inputs: Readonly<Record<string, unknown>> = {},
  {
    garden = {},
    canWrite = true,
    person,
    providers = [],
  }: { garden?: Partial<GardenContents>; canWrite?: boolean; person?: string; providers?: (EnvironmentProviders | Provider)[] } = {},
) {
  TestBed.resetTestingModule();
  TestBed.configureTestingModule({
    imports: [MatIconTestingModule],
    providers: [
      provideZonelessChangeDetection(),
      provideRouter([]),
      { provide: Api, useValue: { libraryPart: (part: PartName) => of(partsOf(reference)[part]) } },
      {
        provide: Store,
        useValue: {
          selectSignal: (select: unknown) => signal(select !== sessionFeature.selectPerson ? [] : person ? { name: person } : null),
        },
      },
      { provide: Garden, useValue: gardenOf({ ...contents, ...garden }, canWrite) },
      ...providers,
    ],
  });
  const fixture = TestBed.createComponent(part);
  /** Until nothing is asked for any more: an answer that has come may lead to the next question a turn later. */
  const rest = async () => {
    do {
      await fixture.whenStable();
      await new Promise((resolve) => setTimeout(resolve));
    } while (!fixture.isStable());
  };
  const set = async (changed: Readonly<Record<string, unknown>>) => {
    for (const [name, value] of Object.entries(changed)) fixture.componentRef.setInput(name, value);
    await rest();
  };
  await set(inputs);
  const element = fixture.nativeElement as HTMLElement;
  return {
    element,
    page: within(element),
    /** everything on the screen, as one reads it */
    text: () => wordsOf(element),
    set,
    rest,
    /** what an output has told, from now on */
    told: (output: keyof T): unknown[] => {
      const told: unknown[] = [];
      (fixture.componentInstance[output] as { subscribe: (take: (value: unknown) => void) => void }).subscribe((value) => told.push(value));
      return told;
    },
    press: async (name: string | RegExp) => {
      fireEvent.click(buttonIn(element, name));
      await rest();
    },
    type: async (label: string | RegExp, words: string) => {
      const field = within(element).getByLabelText(label);
      fireEvent.input(field, { target: { value: words } });
      fireEvent.change(field, { target: { value: words } });
      await rest();
    },
  };
}

/** A button by what it is called. Much quicker than by its role, which asks for the styles of everything. */
function buttonIn(element: HTMLElement, name: string | RegExp): HTMLButtonElement {
  const isCalled = (words: string) => (typeof name === 'string' ? words === name : name.test(words));
  const found = [...element.querySelectorAll('button')].find((one) => isCalled(one.getAttribute('aria-label') ?? wordsOf(one)));
  if (!found) throw new Error(`No button is called ${name}.`);
  return found;
}

/** The words below a node, each piece apart from the next. */
export function wordsOf(node: Node): string {
  const pieces = node.nodeType === Node.TEXT_NODE ? [node.textContent!] : [...node.childNodes].map(wordsOf);
  return pieces.join(' ').replace(/\s+/g, ' ').trim();
}

function gardenOf(all: GardenContents, canWrite: boolean) {
  const find =
    <T extends { readonly id: string }>(rows: readonly T[]) =>
    (id: string) =>
      rows.find((row) => row.id === id);
  return {
    summary: signal(all.garden),
    id: signal(all.garden.id),
    canWrite: signal(canWrite),
    canComment: signal(canWrite),
    isOwner: signal(canWrite),
    now: () => now,
    today: () => today,
    case: find(all.cases),
    planting: find(all.plantings.map((one) => plantingNow(one, today))),
    plantingRecord: find(all.plantings),
    place: find(all.places),
    places: signal(all.places),
    cases: signal(all.cases),
    plantings: signal(all.plantings.map((one) => plantingNow(one, today))),
    applications: signal(all.applications),
    applied: signal(appliedTo(all.applications)),
    products: signal(all.products),
    labelCards: signal(all.labelCards),
    stockMoves: signal(all.stockMoves),
    treatmentPlans: signal(all.treatmentPlans),
    openPlans: signal(all.treatmentPlans.filter(({ endedOn }) => !endedOn)),
    planOf: () => undefined,
    plannedApplications: signal(all.plannedApplications),
    workTimes: signal(all.workTimes),
    sprayers: signal(all.sprayers),
    assessments: signal(all.assessments),
    traps: signal(all.traps),
    catches: signal(all.catches),
    preventionTasks: signal(all.preventionTasks),
    harvests: signal(all.harvests),
    lessons: signal(all.lessons),
    removals: signal(all.removals),
    drills: signal(all.drills),
    decisions: signal(all.decisions),
    leafMeasurements: signal(all.leafMeasurements),
    groundEvents: signal(all.groundEvents),
    testSprays: signal(all.testSprays),
    shelf: signal(shelfNow(all, today)),
    atHand: signal(atHandOf(shelfNow(all, today), all.labelCards)),
    seasonStart: signal('01-01'),
    appliedDays: () => [],
    pastCases: signal(all.pastCases),
    caseLines: signal(all.pastCases),
    years: signal(['2025', '2026']),
    scoutingRounds: signal(all.scoutingRounds),
    stops: signal(all.stops),
    hasYear: () => true,
    openYear: () => undefined,
    seasonFault: signal(''),
    clinicSamples: signal(all.clinicSamples),
    ownEntries: signal(all.ownEntries),
    comments: signal(all.comments),
    decisionsOf: (id: string) => all.decisions.filter(({ caseId }) => caseId === id),
    assessmentsOf: (id: string) => all.assessments.filter(({ caseId }) => caseId === id),
  };
}
