import { Command as Menu } from 'cmdk';
import { Dialog } from 'radix-ui';
import { useEffect, useState } from 'react';
import { Key } from '../ui/button';
import { handleKey, useAllCommands, useCommands } from './registry';

/** The palette (find or do anything) and the key sheet; both read the same commands. */
export function Palette() {
  const [open, setOpen] = useState<'palette' | 'keys' | null>(null);
  useEffect(() => {
    window.addEventListener('keydown', handleKey);
    const show = () => setOpen('palette');
    window.addEventListener('kite:palette', show);
    return () => {
      window.removeEventListener('keydown', handleKey);
      window.removeEventListener('kite:palette', show);
    };
  }, []);
  useCommands([
    { id: 'palette', title: 'Find or do…', key: 'Ctrl+K', group: 'Everywhere', run: () => setOpen('palette') },
    { id: 'keys', title: 'Show the keys', key: '?', group: 'Everywhere', run: () => setOpen('keys') },
  ]);
  return (
    <Dialog.Root open={open !== null} onOpenChange={(o) => !o && setOpen(null)}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/25" />
        <Dialog.Content
          aria-describedby={undefined}
          // What is done behind it waits until it is closed.
          onKeyDown={(e) => e.stopPropagation()}
          className="fixed top-[12vh] left-1/2 z-50 w-[min(620px,92vw)] -translate-x-1/2 rounded-xl border border-line bg-surface shadow-card"
        >
          {open === 'keys' ? <KeySheet /> : <CommandList onDone={() => setOpen(null)} />}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}

function CommandList({ onDone }: { onDone: () => void }) {
  const commands = useAllCommands().filter((c) => c.id !== 'palette');
  const groups = [...new Set(commands.map((c) => c.group))];
  return (
    <>
      <Dialog.Title className="sr-only">Find or do</Dialog.Title>
      <Menu
        label="Find or do"
        loop
        filter={(value, search) =>
          search
            .toLowerCase()
            .split(/\s+/)
            .every((w) => value.toLowerCase().includes(w))
            ? 1
            : 0
        }
      >
        <Menu.Input
          placeholder="Find a part, a pin, or something to do"
          className="w-full rounded-t-xl border-b border-line bg-transparent px-4 py-3 text-base outline-none"
        />
        <Menu.List className="max-h-[56vh] overflow-y-auto p-2">
          <Menu.Empty className="px-3 py-6 text-center text-muted">Nothing has this name.</Menu.Empty>
          {groups.map((group) => (
            <Menu.Group
              key={group}
              heading={group}
              className="[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:py-1 [&_[cmdk-group-heading]]:text-[12px] [&_[cmdk-group-heading]]:text-muted"
            >
              {commands
                .filter((c) => c.group === group)
                .map((c) => {
                  const can = c.can?.() ?? true;
                  return (
                    <Menu.Item
                      key={c.id}
                      value={`${c.title} ${c.id}`}
                      disabled={!can}
                      onSelect={() => {
                        onDone();
                        // After the dialog has given the focus back, so that the command may move it.
                        setTimeout(c.run, 0);
                      }}
                      className="flex cursor-pointer items-center justify-between rounded-md px-2 py-1.5 data-[disabled=true]:opacity-50 data-[selected=true]:bg-green-wash"
                    >
                      {c.title}
                      {c.key ? <Key name={c.key} /> : null}
                    </Menu.Item>
                  );
                })}
            </Menu.Group>
          ))}
        </Menu.List>
      </Menu>
    </>
  );
}

function KeySheet() {
  const commands = useAllCommands().filter((c) => c.key !== undefined);
  const groups = [...new Set(commands.map((c) => c.group))];
  return (
    <div className="p-4">
      <Dialog.Title className="mb-3 text-base font-semibold">Keys</Dialog.Title>
      <div className="grid max-h-[60vh] grid-cols-2 gap-x-8 gap-y-4 overflow-y-auto">
        {groups.map((group) => (
          <section key={group}>
            <h3 className="mb-1 text-[12px] font-semibold text-muted">{group}</h3>
            <ul>
              {commands
                .filter((c) => c.group === group)
                .map((c) => (
                  <li key={c.id} className="flex items-center justify-between gap-4 py-0.5">
                    <span>{c.title}</span>
                    <Key name={c.key!} />
                  </li>
                ))}
            </ul>
          </section>
        ))}
      </div>
      <p className="mt-3 text-[12px] text-muted">
        Esc closes. In the ledger: arrows move, Enter or typing edits, Shift selects, Ctrl+C and Ctrl+V copy and paste.
      </p>
    </div>
  );
}
