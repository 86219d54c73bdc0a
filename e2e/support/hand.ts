import type { CDPSession, Page } from '@playwright/test';

export interface Spot {
  readonly x: number;
  readonly y: number;
}

/** Goes on through further spots. */
export type Go = (spots: readonly Spot[]) => Promise<void>;

/** A finger on a phone, a mouse on a wide screen: the same gestures with either. */
export interface Hand {
  readonly isFinger: boolean;
  /** Down on the first spot, through the others, up on the last. */
  readonly drag: (spots: readonly Spot[]) => Promise<void>;
  /** The same, with something to look at before it is let go. */
  readonly hold: (spots: readonly Spot[], whileHeld: (go: Go) => Promise<void>) => Promise<void>;
  readonly tap: (spot: Spot) => Promise<void>;
  /** Two taps in short order, however long the page takes for the first. */
  readonly tapTwice: (spot: Spot) => Promise<void>;
  /** A long press, or the right button: what can be done there is asked for. */
  readonly askMenu: (spot: Spot) => Promise<void>;
}

const STEPS_BETWEEN = 6;
/** Longer than a press that asks for a menu, milliseconds. */
const LONG_PRESS_MS = 700;

function* between(spots: readonly Spot[]): Generator<Spot> {
  for (let i = 1; i < spots.length; i++)
    for (let k = 1; k <= STEPS_BETWEEN; k++) {
      const [from, to] = [spots[i - 1]!, spots[i]!];
      yield {
        x: from.x + ((to.x - from.x) * k) / STEPS_BETWEEN,
        y: from.y + ((to.y - from.y) * k) / STEPS_BETWEEN,
      };
    }
}

function finger(page: Page): Hand {
  let session: CDPSession | null = null;
  const send = async (type: 'touchStart' | 'touchMove' | 'touchEnd', spot?: Spot): Promise<void> => {
    session ??= await page.context().newCDPSession(page);
    await session.send('Input.dispatchTouchEvent', { type, touchPoints: spot ? [spot] : [] });
  };
  const go: Go = async (spots) => {
    for (const spot of between(spots)) await send('touchMove', spot);
  };
  const hold: Hand['hold'] = async (spots, whileHeld) => {
    await send('touchStart', spots[0]);
    await go(spots);
    await whileHeld(go);
    await send('touchEnd');
  };
  return {
    isFinger: true,
    hold,
    drag: (spots) => hold(spots, async () => undefined),
    tap: async (spot) => {
      await send('touchStart', spot);
      await send('touchEnd');
    },
    tapTwice: async (spot) => {
      session ??= await page.context().newCDPSession(page);
      await Promise.all([
        send('touchStart', spot),
        send('touchEnd'),
        send('touchStart', spot),
        send('touchEnd'),
      ]);
    },
    askMenu: async (spot) => {
      await send('touchStart', spot);
      // How long a finger rests is what is done here, not something that is waited for.
      await new Promise((lifted) => setTimeout(lifted, LONG_PRESS_MS));
      await send('touchEnd');
    },
  };
}

function mouse(page: Page): Hand {
  const go: Go = async (spots) => {
    for (const spot of between(spots)) await page.mouse.move(spot.x, spot.y);
  };
  const hold: Hand['hold'] = async (spots, whileHeld) => {
    await page.mouse.move(spots[0]!.x, spots[0]!.y);
    await page.mouse.down();
    await go(spots);
    await whileHeld(go);
    await page.mouse.up();
  };
  return {
    isFinger: false,
    hold,
    drag: (spots) => hold(spots, async () => undefined),
    tap: (spot) => page.mouse.click(spot.x, spot.y),
    tapTwice: (spot) => page.mouse.dblclick(spot.x, spot.y),
    askMenu: (spot) => page.mouse.click(spot.x, spot.y, { button: 'right' }),
  };
}

export const handFor = (page: Page, isFinger: boolean): Hand => (isFinger ? finger(page) : mouse(page));
