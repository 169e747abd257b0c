import { spawn } from 'node:child_process';
import { chromium } from '@playwright/test';

/**
 * What each gesture on the 484-ball part costs the main thread a frame, from the browser's own trace: the processor's time
 * for all tasks of the page's main thread, those of one frame (16.7 ms) added up. Beside the worst stands how long it took
 * by the clock: where the drawing threads and the main thread share few cores, they wait for each other. Built and served
 * as `bin/start` does it; needs Chromium.
 */
const PORT = 4793;
const FRAME_US = 16_667;
/** A task of the thread; the trace also names the steps that it is handed down in, and those would count its time again. */
const TASK = 'RunTask';

async function traced(page, session, work) {
  const events = [];
  const collect = ({ value }) => void events.push(...value);
  session.on('Tracing.dataCollected', collect);
  await session.send('Tracing.start', {
    categories: 'toplevel,devtools.timeline,disabled-by-default-devtools.timeline,__metadata',
    transferMode: 'ReportEvents',
  });
  await work();
  await page.waitForTimeout(150);
  const complete = new Promise((resolve) => session.once('Tracing.tracingComplete', resolve));
  await session.send('Tracing.end');
  await complete;
  session.off('Tracing.dataCollected', collect);
  const mains = new Set(
    events.filter((e) => e.name === 'thread_name' && e.args?.name === 'CrRendererMain').map((e) => `${e.pid} ${e.tid}`),
  );
  const tasks = events.filter((e) => e.ph === 'X' && mains.has(`${e.pid} ${e.tid}`) && e.name === TASK);
  return { cpu: byFrame(tasks, (t) => t.tdur ?? t.dur), clock: byFrame(tasks, (t) => t.dur) };
}

/** Ms of each frame in which there was any work, smallest first. */
function byFrame(tasks, took) {
  const frames = new Map();
  for (const t of tasks) {
    const frame = Math.floor(t.ts / FRAME_US);
    frames.set(frame, (frames.get(frame) ?? 0) + (took(t) ?? 0) / 1000);
  }
  return [...frames.values()].filter((ms) => ms > 0.05).sort((a, b) => a - b);
}

/**
 * A mouse that speaks to the browser itself: the test library's own puts a script into the page with every move of a held
 * button, whose time would be counted as the page's.
 */
function mouseOf(session) {
  let at = [0, 0];
  let held = 'none';
  const tell = (type, more = {}) =>
    session.send('Input.dispatchMouseEvent', { type, x: at[0], y: at[1], button: held, buttons: held === 'left' ? 1 : 0, ...more });
  return {
    move: (x, y) => ((at = [x, y]), tell('mouseMoved')),
    down: () => ((held = 'left'), tell('mousePressed', { clickCount: 1 })),
    up: () => ((held = 'none'), tell('mouseReleased', { button: 'left', clickCount: 1 })),
    wheel: (deltaX, deltaY) => tell('mouseWheel', { deltaX, deltaY }),
  };
}

const server = spawn('node', ['dist/server/server.mjs', '--port', String(PORT)], { stdio: 'ignore' });
const browser = await chromium.launch({ executablePath: process.env['CHROMIUM'] ?? '/usr/bin/chromium', args: ['--no-sandbox'] });
try {
  const page = await (await browser.newContext({ viewport: { width: 1280, height: 800 } })).newPage();
  for (let i = 0; i < 60 && !(await page.goto(`http://localhost:${PORT}/`).catch(() => undefined)); i++) await page.waitForTimeout(250);
  const link = page.locator('li a', { has: page.locator('strong:text-is("TF8484")') }).last();
  await link.waitFor();
  await page.goto(`http://localhost:${PORT}${(await link.getAttribute('href')).replace(/\w+$/, 'arrange')}`);
  await page.locator('[data-unit="u1"]').waitFor();
  const session = await page.context().newCDPSession(page);
  const mouse = mouseOf(session);
  const steps = async (n, at) => {
    for (let i = 0; i < n; i++) {
      await at(i);
      await page.waitForTimeout(20);
    }
  };
  const onStage = async () => void (await mouse.move(700, 420), await page.waitForTimeout(100));
  const whole = async () => void (await page.keyboard.press('Shift+Z'), await onStage(), await page.waitForTimeout(300));
  const near = async () => {
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: /^A / }).click();
    await onStage();
    await page.waitForTimeout(400);
  };
  const drag = async (from, to) => {
    await mouse.move(...from);
    await mouse.down();
    await steps(20, (i) => mouse.move(from[0] + ((to[0] - from[0]) * i) / 20, from[1] + ((to[1] - from[1]) * i) / 20));
    await mouse.up();
  };
  // A hand rests a moment on what it clicks.
  const click = async (x, y) => {
    await mouse.move(x, y);
    await page.waitForTimeout(40);
    await mouse.down();
    await page.waitForTimeout(60);
    await mouse.up();
  };
  const tipOf = async (n) => {
    const box = await page.locator('[data-unit="u1"] [data-pin] .tip').nth(n).boundingBox();
    return [box.x + box.width / 2, box.y + box.height / 2];
  };
  let at;
  const gestures = [
    ['pan, all units in view', whole, () => steps(20, () => mouse.wheel(6, 10))],
    ['zoom, all units in view', whole, () => steps(6, (i) => page.keyboard.press(i % 2 ? '-' : '+'))],
    ['pan, one unit', near, () => steps(20, () => mouse.wheel(3, 8))],
    ['box around pins', near, () => drag([520, 200], [900, 700])],
    ['drag a pin', async () => (await near(), (at = await tipOf(30))), () => drag(at, [at[0] + 17, at[1] + 157])],
    ['select a pin', async () => (await near(), (at = await tipOf(20))), () => click(...at)],
    ['move it by a key', async () => {}, () => steps(6, () => page.keyboard.press('ArrowDown'))],
    ['pull the body’s edge', async () => {
      await near();
      const grip = await page.locator('[data-edge="right"]').boundingBox();
      at = [grip.x + 3, grip.y + 20];
    }, () => drag(at, [at[0] + 57, at[1]])],
  ]; // prettier-ignore
  const shown = ({ cpu, clock }) =>
    [0.5, 0.95, 1]
      .map((share) => cpu[Math.min(cpu.length - 1, Math.floor(cpu.length * share))] ?? 0)
      .concat(clock.at(-1) ?? 0)
      .map((ms) => ms.toFixed(1).padStart(7))
      .join('');
  console.log('ms of main thread a frame of 16.7 ms, of gestures on 484 balls');
  console.log('                             first: median   95 %  worst  clock   again: median   95 %  worst  clock');
  const times = [];
  for (const round of ['first', 'again'])
    for (const [what, before, work] of gestures) {
      await before();
      times.push([round, what, await traced(page, session, work)]);
    }
  for (const [what] of gestures) {
    const [first, again] = times.filter((t) => t[1] === what).map((t) => shown(t[2]));
    console.log(`${what.padEnd(34)} ${first}          ${again}`);
  }
} finally {
  await browser.close();
  server.kill();
}
