import { expect, type Page } from '@playwright/test';

/** A 33-terminal part: two converters on a serial port, with one cell that nobody can be sure of. */
export const TABLE_33 = `TF4033 wind sensor front end, QFN-32

Pin  Name    Type  Description
Sensor inputs
1    S1P     AI    Sensor 1 input, positive
2    S1N     AI    Sensor 1 input, negative
3    S2P     AI    Sensor 2 input, positive
4    S2N     AI    Sensor 2 input, negative
5    S3P     AI    Sensor 3 input, positive
6    S3N     AI    Sensor 3 input, negative
7    S4P     AI    Sensor 4 input, positive
8    S4N     AI    Sensor 4 input, negative
Supplies
9    AVDD    P     Analog supply
10   AGND    G     Analog ground
11   REFOUT  AO    Reference output; bypass to AGND
12   AVDD    P     Analog supply
Heater
13   HTR1    O     Heater driver output 1
14   HTR2    O     Heater driver output 2
15   HGND    G     Heater ground
16   HVDD    P     Heater supply
Serial port
17   CS#     DI    Chip select input
18   SCLK    DI    Serial clock input
19   SDI     DI    Serial data input
20   SDO     DOZ   Serial data output, three-state
21   IRQ#    OD    Interrupt request
Control
22   RESET#  DI    Reset input
23   GAIN          Gain strap; see Table 4
24   SYNC    DI    Synchronisation input
25   XIN     A     Crystal terminal
26   XOUT    A     Crystal terminal
Spare
27   NC      -     No internal connection
28   NC      -     No internal connection
Supplies
29   DVDD    P     Digital supply
30   DGND    G     Digital ground
31   VCAP    PO    Output of the core regulator
32   DGND    G     Digital ground
EP   AGND    G     Exposed pad; analog ground
`;

export const MODEL_33 = `* TF4033 front end, one sensor channel and its supplies
* p = S1P
* n = S1N
* vdd = AVDD
* gnd = AGND
* ref = REFOUT
.subckt TF4033_AFE p n vdd gnd ref
Rp p gnd 1meg
Rn n gnd 1meg
Rv vdd gnd 10k
Eref ref gnd vdd gnd 0.5
.ends
`;

/** Opens the Shelf with its demo library. */
export async function openShelf(page: Page): Promise<void> {
  await page.goto('/');
  // The first visit takes the demo library in: 2 s on a free machine, and several times that beside another browser.
  await expect(page.getByRole('link', { name: /TF8484/ })).toBeVisible({ timeout: 30_000 });
}

/** Opens a part of the Shelf at a station. */
export async function openPart(page: Page, name: string, station: string): Promise<void> {
  await openShelf(page);
  const link = page.locator('li a', { has: page.locator(`strong:text-is("${name}")`) });
  const href = (await link.getAttribute('href'))!;
  await page.goto(href.replace(/\w+$/, station));
  await expect(page.getByRole('complementary', { name: 'Ledger' })).toBeVisible();
}

/** Starts an empty part and gives it to Read. */
export async function startPart(page: Page): Promise<void> {
  await openShelf(page);
  await page.getByRole('button', { name: /Start a part/ }).click();
  await expect(page.getByRole('textbox', { name: 'Pin table' })).toBeVisible();
}

/** Pastes text into a field as a person does, through the clipboard event. */
export async function paste(page: Page, selector: string, text: string): Promise<void> {
  await page.locator(selector).evaluate((field, value) => {
    const data = new DataTransfer();
    data.setData('text/plain', value);
    (field as HTMLElement).focus();
    const taken = !field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    if (!taken && field instanceof HTMLTextAreaElement) {
      const set = Object.getOwnPropertyDescriptor(HTMLTextAreaElement.prototype, 'value')!.set!;
      set.call(field, field.value + value);
      field.dispatchEvent(new Event('input', { bubbles: true }));
    }
  }, text);
}

export const saved = (page: Page) => expect(page.getByText('saved', { exact: true })).toBeVisible();
export const next = (page: Page) => page.locator('footer [aria-live]');

/** Drops a file onto an element. */
export const dropFile = (page: Page, selector: string, name: string, content: string | number[]): Promise<void> =>
  dropFiles(page, selector, [{ name, content }]);

/** Drops several files at once. */
export async function dropFiles(page: Page, selector: string, files: { name: string; content: string | number[] }[]): Promise<void> {
  await page
    .locator(selector)
    .first()
    .evaluate((el, dropped) => {
      const data = new DataTransfer();
      for (const { name, content } of dropped)
        data.items.add(new File([typeof content === 'string' ? content : new Uint8Array(content)], name));
      el.dispatchEvent(new DragEvent('dragover', { dataTransfer: data, bubbles: true, cancelable: true }));
      el.dispatchEvent(new DragEvent('drop', { dataTransfer: data, bubbles: true, cancelable: true }));
    }, files);
}
