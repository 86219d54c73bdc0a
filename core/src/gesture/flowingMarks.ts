import type { Mark } from '../model/schema';
import { flowFraction } from '../timing/flow';
import type { LaidGesture } from './layGesture';

export class FlowingMarks {
  readonly marks: Mark[];
  private worst: { frame: number; away: number }[] = [];

  constructor(
    private readonly laid: LaidGesture,
    marks: readonly Mark[],
  ) {
    this.marks = [...marks];
    this.worst = this.marks.slice(1).map((_, i) => this.worstIn(i));
  }

  awayOn(span: number, frame: number): number {
    return this.laid.awayOn(frame, flowFraction(this.marks, span, frame) * this.laid.length);
  }

  private worstIn(span: number): { frame: number; away: number } {
    const [from, to] = [this.marks[span]!, this.marks[span + 1]!];
    let worst = { frame: from.frame, away: 0 };
    for (let frame = from.frame; frame <= to.frame; frame++) {
      const away = this.awayOn(span, frame);
      if (away > worst.away) worst = { frame, away };
    }
    return worst;
  }

  worstOfAll(): { span: number; frame: number; away: number } {
    let span = 0;
    this.worst.forEach(({ away }, i) => {
      if (away > this.worst[span]!.away) span = i;
    });
    return { span, ...this.worst[span]! };
  }

  private judge(from: number, until: number): void {
    for (let i = Math.max(0, from); i <= Math.min(until, this.marks.length - 2); i++)
      this.worst[i] = this.worstIn(i);
  }

  insert(span: number, mark: Mark): void {
    this.marks.splice(span + 1, 0, mark);
    this.worst.splice(span + 1, 0, { frame: mark.frame, away: 0 });
    this.judge(span - 1, span + 2);
  }

  tryWithout(index: number, allowed: number): boolean {
    const mark = this.marks[index]!;
    const before = this.worst.slice(Math.max(0, index - 2), index + 2);
    this.marks.splice(index, 1);
    this.worst.splice(index, 1);
    this.judge(index - 2, index);
    const isGood = this.worst.slice(Math.max(0, index - 2), index + 1).every(({ away }) => away <= allowed);
    if (isGood) return true;
    this.marks.splice(index, 0, mark);
    this.worst.splice(Math.max(0, index - 2), before.length - 1, ...before);
    return false;
  }
}
