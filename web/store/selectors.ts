import { createSelector } from '@reduxjs/toolkit';
import { padsIn, pinsOnNode, placesOf, terminalsOf, type Part, type Pin } from '../../core/part';
import { meetPads } from '../../core/lands';
import { equalData } from './equal';
import { stateOf } from './records';
import type { RootState } from './index';

export const selectPart = (s: RootState): Part => s.part.part;
// What is worked out from the pins alone must not be worked out again because something was moved on the stage.
export const selectPins = (s: RootState): Part['pins'] => s.part.part.pins;
export const selectUnits = (s: RootState): Part['units'] => s.part.part.units;
export const selectPackages = (s: RootState): Part['packages'] => s.part.part.packages;
export const selectModels = (s: RootState): Part['models'] => s.part.part.models;
export const selectSelection = (s: RootState): string[] => s.view.selection;
export const selectSelectedSet = createSelector([selectSelection], (ids) => new Set(ids));

/** The package in view: the chosen one while the part still has it, else the first. */
export const selectPackageId = (s: RootState): string | undefined =>
  s.part.part.packages.find((p) => p.id === s.view.package)?.id ?? s.part.part.packages[0]?.id;

export const selectPinById = createSelector([selectPins], (pins): ReadonlyMap<string, Pin> => new Map(pins.map((p) => [p.id, p])));

/** Every terminal that was read: of a bundle each with its own place in the source, under the bundle's id. */
export const selectTerminals = createSelector([selectPins], (pins) => pins.flatMap(terminalsOf));

/** Where each pin is drawn, as the ledger shows it: "A left". */
export const selectPlaces = createSelector([selectUnits, (s: RootState) => s.part.part.drawings], (units, drawings) =>
  placesOf({ units, drawings }),
);

/** The model node that each pin is on, by pin id. */
export const selectNodes = createSelector([selectModels], (models) => {
  const nodes = new Map<string, string>();
  for (const model of models)
    for (const ties of Object.values(model.ties))
      for (const [node, tie] of Object.entries(ties)) for (const pin of pinsOnNode(tie)) nodes.set(pin, node);
  return nodes;
});

/** Pins whose pads all stand in the land of the package in view. */
export const selectPadJoined = createSelector([selectPins, selectPackages, selectPackageId], (pins, packages, packageId) => {
  const land = new Set(packages.find((p) => p.id === packageId)?.land.pads.map((p) => p.number));
  return new Set(pins.filter((p) => padsIn(p, packageId).length > 0 && padsIn(p, packageId).every((n) => land.has(n))).map((p) => p.id));
});

/** Checks come anew after each edit and mostly say the same: what is equal stays what it was, so that nothing is drawn again for it. */
const keepEqual = { memoizeOptions: { resultEqualityCheck: equalData } };

export const selectFindingsByPin = createSelector(
  [(s: RootState) => s.view.checks],
  (checks) => {
    const byPin = new Map<string, number>();
    for (const f of checks?.findings ?? [])
      if (f.where.pin && f.severity !== 'note') byPin.set(f.where.pin, (byPin.get(f.where.pin) ?? 0) + 1);
    return byPin;
  },
  keepEqual,
);

export const selectDoubts = createSelector([selectPins], (pins) => pins.flatMap((pin) => pin.doubts.map((doubt) => ({ pin, doubt }))));

export const selectState = createSelector([selectPart, (s: RootState) => s.view.checks], (part, checks) =>
  stateOf(part, checks?.findings.filter((f) => f.severity === 'error').length ?? 1),
);

export interface StationState {
  /** 0 to 1: how far the station is done. */
  done: number;
  count: string;
  warn: boolean;
}

/** The pads of the land in view that are to have a pin, and how many of them have one. */
const selectPadCount = createSelector([selectPins, selectPackages, selectPackageId], (pins, packages, packageId) => {
  const pads = packages.find((p) => p.id === packageId)?.land.pads.filter((p) => !p.mechanical).length ?? 0;
  return { pads, joined: packageId === undefined ? 0 : pads - meetPads({ pins, packages }, packageId).padsWithoutPin.length };
});

/** How far each station is done, with its count, for the tail. */
export const selectTail = createSelector(
  [
    selectPins,
    selectUnits,
    selectPadCount,
    (s: RootState) => s.part.part.releases,
    selectDoubts,
    selectPlaces,
    (s: RootState) => s.view.checks,
  ],
  (all, units, { pads, joined }, releases, doubts, places, checks): Record<string, StationState> => {
    const pins = all.length;
    const drawn = all.filter((p) => places.has(p.id)).length;
    const findings = checks?.findings.filter((f) => f.severity !== 'note') ?? [];
    const plural = (n: number, noun: string) => `${n} ${noun}${n === 1 ? '' : 's'}`;
    return {
      read: {
        done: pins === 0 ? 0 : Math.max(0.1, 1 - doubts.length / pins),
        count: doubts.length > 0 ? plural(doubts.length, 'doubt') : pins === 0 ? '—' : plural(pins, 'pin'),
        warn: doubts.length > 0,
      },
      arrange: {
        done: pins === 0 ? 0 : drawn / pins,
        count: units.length === 0 ? '—' : plural(units.length, 'unit'),
        warn: pins > 0 && units.length > 0 && drawn < pins,
      },
      join: {
        done: pads === 0 ? 0 : joined / pads,
        count: pads === 0 ? '—' : `${joined}/${pads} pads`,
        warn: pads > 0 && joined < pads,
      },
      prove: {
        done: pins === 0 || !checks ? 0 : findings.length === 0 ? 1 : Math.max(0.1, 1 - findings.length / 12),
        count: pins === 0 || !checks ? '—' : findings.length === 0 ? 'proven' : plural(findings.length, 'finding'),
        warn: findings.length > 0 && pins > 0,
      },
      release: {
        done: releases.length > 0 ? 1 : 0,
        count: releases.length > 0 ? `v${releases.at(-1)!.version}` : '—',
        warn: false,
      },
    };
  },
  keepEqual,
);

const NEXT: Record<string, string> = {
  read: 'Next: settle the doubts. Alt+1',
  arrange: 'Next: arrange the pins. Alt+2',
  join: 'Next: join the pads. Alt+3',
  prove: 'Next: settle the findings. Alt+4',
  release: 'Next: release the part. Alt+5',
};

/** What is to be done when a station has nothing left: the first of the others that is not done. */
export const selectNext = createSelector(
  [selectTail],
  (tail) => NEXT[Object.keys(tail).find((s) => tail[s]!.done < 1) ?? ''] ?? 'Nothing is left to do',
);
