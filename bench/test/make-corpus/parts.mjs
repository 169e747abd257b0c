// Invented parts as a datasheet would print them: a row may stand for several terminals. `n` lists a row's numbers, by
// package where there are several; `name` is one name or a list in the order of the numbers. The truth is written out
// from these rows and never from what the program reads.
const row = (n, name, type, code, d, more = {}) => ({ n, name, type, code, d, ...more });
const low = { low: true };

export const parts = {
  // A converter: analog, digital, supplies, an overbar, a crystal.
  TF8101: {
    title: 'TF8101 16-bit humidity converter',
    packages: ['TSSOP-16'],
    rows: [
      { group: 'Analog' },
      row(['1'], 'AIN1+', 'input', 'AI', 'Positive input of channel 1'),
      row(['2'], 'AIN1-', 'input', 'AI', 'Negative input of channel 1'),
      row(['3'], 'AIN2+', 'input', 'AI', 'Positive input of channel 2'),
      row(['4'], 'AIN2-', 'input', 'AI', 'Negative input of channel 2'),
      row(['5'], 'REFIN', 'input', 'AI', 'Reference voltage input'),
      row(['6'], 'REFOUT', 'supply-out', 'AO', 'Output of the internal 2.048 V reference. Bypass it to AGND with 1 µF'),
      { group: 'Supplies' },
      row(['7'], 'AVDD', 'supply-in', 'P', 'Analog supply, 2.7 V to 3.6 V'),
      row(['8'], 'AGND', 'ground', 'P', 'Analog ground'),
      row(['9'], 'DGND', 'ground', 'P', 'Digital ground'),
      row(['10'], 'DVDD', 'supply-in', 'P', 'Digital supply, 1.7 V to 3.6 V'),
      { group: 'Digital' },
      row(['11'], 'SCLK', 'input', 'DI', 'Serial clock input'),
      row(['12'], 'DIN', 'input', 'DI', 'Serial data input'),
      row(
        ['13'],
        'DOUT',
        'three-state',
        'DO',
        'Serial data output. It is three-state while CS is high, so that several converters can share one line',
      ),
      row(['14'], 'CS', 'input', 'DI', 'Chip select, active low', low),
      row(['15'], 'DRDY', 'open-drain', 'DO', 'Data ready, active low. Open-drain output, needs a pull-up resistor', low),
      row(['16'], 'XTAL', 'passive', 'AI', 'Crystal connection, leave open for the internal clock'),
    ],
  },
  // Number lists, a bus range, an exposed pad, no-connects and reserved terminals.
  TF4032: {
    title: 'TF4032 relay and valve driver',
    packages: ['QFN-32'],
    rows: [
      row(['1', '9', '17', '25'], 'GND', 'ground', 'G', 'Power ground. Connect all of them'),
      row(['2', '3', '4', '5'], ['IN0', 'IN1', 'IN2', 'IN3'], 'input', 'I', 'Control inputs of the low-side switches'),
      row(['6'], 'EN', 'input', 'I', 'Enable input, active high'),
      row(['7'], 'FAULT', 'open-drain', 'OD', 'Fault flag, active low, open drain', low),
      row(['8'], 'NC', 'no-connect', 'NC', 'Not connected internally'),
      row(['10', '11', '12', '13'], ['OUT0', 'OUT1', 'OUT2', 'OUT3'], 'open-drain', 'OD', 'Open-drain outputs of the switches'),
      row(['14'], 'VCLAMP', 'passive', 'X', 'Connect an external clamp capacitor'),
      row(['15', '16'], 'VS', 'supply-in', 'P', 'Driver supply, 6 V to 36 V'),
      row(['18'], 'SDI', 'input', 'I', 'Serial data input'),
      row(['19'], 'SDO', 'three-state', 'OT', 'Serial data output, three-state'),
      row(['20'], 'SCK', 'input', 'I', 'Serial clock input'),
      row(['21'], 'CSN', 'input', 'I', 'Chip select input, active low', low),
      row(['22'], 'VDD', 'supply-in', 'P', 'Logic supply voltage'),
      row(['23'], 'VREG', 'supply-out', 'PO', 'Output of the internal 3.3 V regulator'),
      row(['24'], 'TEST', 'reserved', 'R', 'Factory test, connect to GND'),
      row(['26', '27', '28'], 'NC', 'no-connect', 'NC', 'Not connected internally'),
      row(['29'], 'CP1', 'passive', 'X', 'Flying capacitor of the charge pump, first end'),
      row(['30'], 'CP2', 'passive', 'X', 'Flying capacitor of the charge pump, second end'),
      row(['31'], 'VCP', 'supply-out', 'PO', 'Charge pump output'),
      row(['32'], 'RSVD', 'reserved', 'R', 'Reserved, leave open'),
      row(['33'], 'EP', 'ground', 'G', 'Exposed pad, connect to ground'),
    ],
  },
  // A controller in three packages with alternate functions.
  TF5048: {
    title: 'TF5048 gondola controller',
    packages: ['LQFP-48', 'QFN-32', 'BGA-49'],
    rows: (() => {
      const rows = [];
      const spare = { 'BGA-49': ballNames('ABCDEFG', 7) };
      let [l, q, b] = [1, 1, 0];
      const put = (name, type, code, d, inQfn, more) => {
        const n = { 'LQFP-48': [String(l++)], 'BGA-49': [spare['BGA-49'][b++]] };
        if (inQfn) n['QFN-32'] = [String(q++)];
        rows.push({ n, name, type, code, d, ...more });
      };
      put('VBAT', 'supply-in', 'S', 'Backup battery supply', true);
      for (let i = 0; i < 16; i++) put(`PA${i}/ADC${i}/TIM1_CH${(i % 4) + 1}`, 'bidirectional', 'I/O', `Port A bit ${i}`, i < 12);
      put('VSS', 'ground', 'S', 'Ground', true);
      put('VDD', 'supply-in', 'S', 'Digital supply', true);
      for (let i = 0; i < 16; i++) put(i % 3 ? `PB${i}/SPI${i % 2}_SCK` : `PB${i}`, 'bidirectional', 'I/O', `Port B bit ${i}`, i < 11);
      put('NRST', 'bidirectional', 'I/O', 'Reset input and internal reset output, active low', true, low);
      put('BOOT0', 'input', 'I', 'Boot memory select input', true);
      put('VDDA', 'supply-in', 'S', 'Analog supply', true);
      put('VSSA', 'ground', 'S', 'Analog ground', true);
      put('OSC_IN', 'passive', 'I/O', 'Crystal oscillator input', true);
      put('OSC_OUT', 'passive', 'I/O', 'Crystal oscillator output', true);
      for (let i = 0; i < 6; i++) put(`PC${i}`, 'bidirectional', 'I/O', `Port C bit ${i}`, false);
      return rows;
    })(),
  },
  // An amplifier: few pins, names with signs.
  TF2108: {
    title: 'TF2108 dual low-noise amplifier',
    packages: ['SO-8'],
    rows: [
      row(['1'], 'OUT A', 'output', 'O', 'Output of amplifier A'),
      row(['2'], '−IN A', 'input', 'I', 'Inverting input of amplifier A'),
      row(['3'], '+IN A', 'input', 'I', 'Non-inverting input of amplifier A'),
      row(['4'], 'V−', 'supply-in', 'P', 'Negative supply'),
      row(['5'], '+IN B', 'input', 'I', 'Non-inverting input of amplifier B'),
      row(['6'], '−IN B', 'input', 'I', 'Inverting input of amplifier B'),
      row(['7'], 'OUT B', 'output', 'O', 'Output of amplifier B'),
      row(['8'], 'V+', 'supply-in', 'P', 'Positive supply'),
    ],
  },
  // A memory with wide buses in both directions and low-active controls written in several ways.
  TF6116: {
    title: 'TF6116 static memory for flight data',
    packages: ['TSOP-44'],
    rows: [
      row(nums(1, 5), ['A4', 'A3', 'A2', 'A1', 'A0'], 'input', 'I', 'Address inputs'),
      row(['6'], 'CE#', 'input', 'I', 'Chip enable input, active low', low),
      row(nums(7, 10), ['DQ0', 'DQ1', 'DQ2', 'DQ3'], 'bidirectional', 'I/O', 'Data inputs and outputs'),
      row(['11', '33'], 'VCC', 'supply-in', 'P', 'Supply voltage'),
      row(['12', '34'], 'VSS', 'ground', 'P', 'Ground'),
      row(nums(13, 16), ['DQ4', 'DQ5', 'DQ6', 'DQ7'], 'bidirectional', 'I/O', 'Data inputs and outputs'),
      row(['17'], 'WE#', 'input', 'I', 'Write enable input, active low', low),
      row(nums(18, 22), ['A16', 'A15', 'A14', 'A13', 'A12'], 'input', 'I', 'Address inputs'),
      row(['23', '28'], 'NC', 'no-connect', '-', 'No connect'),
      row(nums(24, 27), ['A8', 'A9', 'A10', 'A11'], 'input', 'I', 'Address inputs'),
      row(nums(29, 32), ['DQ8', 'DQ9', 'DQ10', 'DQ11'], 'bidirectional', 'I/O', 'Data inputs and outputs'),
      row(nums(35, 38), ['DQ12', 'DQ13', 'DQ14', 'DQ15'], 'bidirectional', 'I/O', 'Data inputs and outputs'),
      row(['39'], 'LB#', 'input', 'I', 'Lower byte enable input, active low', low),
      row(['40'], 'UB#', 'input', 'I', 'Upper byte enable input, active low', low),
      row(['41'], 'OE#', 'input', 'I', 'Output enable input, active low', low),
      row(nums(42, 44), ['A7', 'A6', 'A5'], 'input', 'I', 'Address inputs'),
    ],
  },
  // A radio with pairs, RF, long descriptions and words instead of codes.
  TF9320: {
    title: 'TF9320 telemetry radio',
    packages: ['QFN-24'],
    rows: [
      { group: 'Radio' },
      row(['1'], 'RF_P', 'bidirectional', 'Analog I/O', 'Positive antenna terminal, input while receiving and output while sending'),
      row(['2'], 'RF_N', 'bidirectional', 'Analog I/O', 'Negative antenna terminal, input while receiving and output while sending'),
      row(
        ['3'],
        'VDD_PA',
        'supply-in',
        'Power',
        'Supply of the power amplifier. Place 100 pF and 1 µF close to the terminal and route it apart from the other supplies',
      ),
      row(['4'], 'RBIAS', 'passive', 'Passive', 'Connect a 56 kΩ resistor to ground'),
      { group: 'Clock' },
      row(['5'], 'XIN', 'passive', 'Passive', '26 MHz crystal'),
      row(['6'], 'XOUT', 'passive', 'Passive', '26 MHz crystal'),
      row(['7'], 'CLKOUT', 'output', 'Digital output', 'Divided clock output'),
      { group: 'Control' },
      row(['8'], 'SPI_CLK', 'input', 'Digital input', 'Serial clock'),
      row(['9'], 'SPI_MOSI', 'input', 'Digital input', 'Serial data in'),
      row(['10'], 'SPI_MISO', 'three-state', 'Digital output', 'Serial data out, three-state when not selected'),
      row(['11'], 'SPI_CSN', 'input', 'Digital input', 'Select, active low', low),
      row(['12'], 'IRQ', 'output', 'Digital output', 'Interrupt request, active high'),
      row(['13', '14', '15'], ['GPIO0', 'GPIO1', 'GPIO2'], 'bidirectional', 'Digital I/O', 'General-purpose inputs and outputs'),
      row(['16'], 'RESET_N', 'input', 'Digital input', 'Reset input, active low', low),
      { group: 'Supplies' },
      row(['17', '24'], 'VDD', 'supply-in', 'Power', 'Main supply'),
      row(['18'], 'DVDD_OUT', 'supply-out', 'Power', 'Output of the digital regulator, for decoupling only'),
      row(['19', '20', '23'], 'GND', 'ground', 'Ground', 'Ground'),
      row(['21'], 'DNC', 'reserved', '—', 'Do not connect'),
      row(['22'], 'NC', 'no-connect', '—', 'Not connected inside'),
      row(['EP'], 'GND', 'ground', 'Ground', 'Exposed pad, the main ground'),
    ],
  },
  // A gate driver with columns of words and name marks.
  TF1733: {
    title: 'TF1733 three-phase winch driver',
    packages: ['HTSSOP-28'],
    rows: [
      row(['1'], 'nFAULT', 'open-drain', 'OD', 'Fault indication output, open-drain, active low', low),
      row(['2'], 'nSLEEP', 'input', 'I', 'Sleep mode input, active low', low),
      row(['3'], 'DVDD', 'supply-out', 'PWR', '5 V regulator output'),
      row(['4'], 'INHA', 'input', 'I', 'High-side gate driver control input'),
      row(['5'], 'INLA', 'input', 'I', 'Low-side gate driver control input'),
      row(['6'], 'INHB', 'input', 'I', 'High-side gate driver control input'),
      row(['7'], 'INLB', 'input', 'I', 'Low-side gate driver control input'),
      row(['8'], 'INHC', 'input', 'I', 'High-side gate driver control input'),
      row(['9'], 'INLC', 'input', 'I', 'Low-side gate driver control input'),
      row(['10', '28'], 'GND', 'ground', 'PWR', 'Device ground'),
      row(['11'], 'GHA', 'output', 'O', 'High-side gate driver output'),
      row(['12'], 'SHA', 'input', 'I', 'High-side source sense input'),
      row(['13'], 'GLA', 'output', 'O', 'Low-side gate driver output'),
      row(['14'], 'GHB', 'output', 'O', 'High-side gate driver output'),
      row(['15'], 'SHB', 'input', 'I', 'High-side source sense input'),
      row(['16'], 'GLB', 'output', 'O', 'Low-side gate driver output'),
      row(['17'], 'GHC', 'output', 'O', 'High-side gate driver output'),
      row(['18'], 'SHC', 'input', 'I', 'High-side source sense input'),
      row(['19'], 'GLC', 'output', 'O', 'Low-side gate driver output'),
      row(['20'], 'VM', 'supply-in', 'PWR', 'Motor supply'),
      row(['21'], 'CPL', 'passive', 'PWR', 'Charge pump capacitor, connect a 47 nF capacitor to CPH'),
      row(['22'], 'CPH', 'passive', 'PWR', 'Charge pump capacitor, connect a 47 nF capacitor to CPL'),
      row(['23'], 'VCP', 'supply-out', 'PWR', 'Charge pump output'),
      row(['24'], 'SDA', 'bidirectional', 'I/O', 'Serial data, open drain'),
      row(['25'], 'SCL', 'input', 'I', 'Serial clock input'),
      row(['26'], 'SOA', 'output', 'O', 'Current sense amplifier output'),
      row(['27'], 'MODE', 'input', 'I', 'Mode select input'),
      row(['29'], 'PAD', 'ground', 'PWR', 'Thermal pad, connect to ground'),
    ],
  },
};

// A large array: banks, supplies all over it.
parts.TF7196 = {
  title: 'TF7196 image processor',
  packages: ['BGA-196'],
  rows: (() => {
    const balls = ballNames('ABCDEFGHJKLMNP', 14);
    return balls.map((ball, i) => {
      const [r, c] = [Math.floor(i / 14), i % 14];
      if (r >= 5 && r <= 8 && c >= 5 && c <= 8) return row([ball], 'VSS', 'ground', 'GND', 'Ground');
      if ((r + c) % 13 === 0) return row([ball], 'VCCINT', 'supply-in', 'PWR', 'Core supply voltage');
      if ((r * 3 + c) % 17 === 0)
        return row([ball], `VCCO_${Math.floor(r / 4)}`, 'supply-in', 'PWR', `Supply of I/O bank ${Math.floor(r / 4)}`);
      if (i % 19 === 0) return row([ball], 'VSS', 'ground', 'GND', 'Ground');
      if (ball === 'A9') return row([ball], 'TCK', 'input', 'I', 'Test clock input');
      return row([ball], `IO_B${Math.floor(r / 4)}_${i}`, 'bidirectional', 'I/O', `User I/O in bank ${Math.floor(r / 4)}`);
    });
  })(),
};

function ballNames(letters, columns) {
  return [...letters].flatMap((l) => Array.from({ length: columns }, (_, i) => `${l}${i + 1}`));
}
function nums(from, to) {
  return Array.from({ length: to - from + 1 }, (_, i) => String(from + i));
}

/** The terminals of a part in a package, as they should be read. */
export function truthOf(part, packageName = part.packages[0], { activeLow = true, types = true } = {}) {
  let group;
  return part.rows.flatMap((r) => {
    if (r.group !== undefined && r.n === undefined) {
      group = r.group;
      return [];
    }
    const numbers = Array.isArray(r.n) ? r.n : (r.n[packageName] ?? []);
    return numbers.map((number, i) => ({
      number,
      name: Array.isArray(r.name) ? r.name[i] : r.name,
      ...(types ? { type: r.type } : {}),
      ...(r.low && activeLow ? { activeLow: true } : {}),
      ...(group ? { group } : {}),
    }));
  });
}
