import { ChangeDetectionStrategy, Component, input } from '@angular/core';
import type { Condition } from '@field-nurse/library';
import { Drawing } from '../drawing/drawing';
import { hidingWords, stageWords } from '../shared/words';

type Stage = Condition['stages'][number];

/** What a trouble is from egg or spore to its end, each stage drawn where it has a form of its own. */
@Component({
  selector: 'fn-stage-list',
  imports: [Drawing],
  changeDetection: ChangeDetectionStrategy.OnPush,
  styles: `
    ol {
      display: grid;
      gap: 10px;
      list-style: none;
    }
    li {
      display: grid;
      grid-template-columns: 64px minmax(0, 1fr);
      gap: 0 12px;
      align-items: center;
    }
    fn-drawing {
      grid-row: span 2;
      width: 64px;
    }
    b,
    p {
      grid-column: 2;
    }
    b {
      align-self: end;
    }
    p {
      align-self: start;
    }
    ol:not(:has(fn-drawing)) li {
      grid-template-columns: minmax(0, 1fr);
    }
    ol:not(:has(fn-drawing)) li > * {
      grid-column: 1;
    }
  `,
  template: `
    <ol>
      @for (stage of stages(); track stage.id) {
        <li>
          @if (stage.mark) {
            <fn-drawing organ="creature" [mark]="stage.mark" />
          }
          <b
            >{{ name(stage) }}<span class="fn-small">{{ note(stage) }}</span></b
          >
          <p>{{ stage.does }}</p>
        </li>
      }
    </ol>
  `,
})
export class StageList {
  readonly stages = input.required<readonly Stage[]>();

  protected readonly name = ({ id }: Stage) => id.charAt(0).toUpperCase() + id.slice(1).replaceAll('-', ' ');
  /** what kind of stage it is, where its name does not say so, and where it hides */
  protected readonly note = ({ id, kind, hidden }: Stage) =>
    [!id.startsWith(stageWords[kind]!) && kind !== 'any' && stageWords[kind], hidden && hidingWords[hidden]?.toLowerCase()]
      .filter(Boolean)
      .map((word) => ` · ${word}`)
      .join('');
}
