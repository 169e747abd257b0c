import { useState } from 'react';
import { Button } from '../../ui/button';
import { pastedTable } from '../../ui/files';

interface Props {
  start: string;
  onText: (text: string, name?: string) => void;
  onChoose: () => void;
  disabled: boolean;
}

/** Where a pin table comes in: pasted, typed, dropped or chosen. A paste is read at once. */
export function PasteBox({ start, onText, onChoose, disabled }: Props) {
  const [text, setText] = useState(start);
  return (
    <div className="mx-auto flex h-full max-w-3xl flex-col gap-3 px-6 pt-4 pb-8">
      <h2 className="text-lg font-semibold">Bring the source as it is</h2>
      <p className="text-muted">
        Drop the datasheet anywhere here: PDF, workbook, BSDL, IBIS or text. Or paste the pin table from a page or a spreadsheet. The table
        is found and its columns understood; every cell keeps its place in the source.
      </p>
      <label htmlFor="paste-box" className="sr-only">
        Pin table
      </label>
      <textarea
        id="paste-box"
        value={text}
        disabled={disabled}
        spellCheck={false}
        placeholder={'Pin  Name   Type  Description\n1    AIN1+  AI    Positive bridge input\n2    AIN1-  AI    Negative bridge input\n…'}
        onChange={(e) => setText(e.target.value)}
        onPaste={(e) => {
          const pasted = text.trim() === '' ? pastedTable(e.clipboardData) : undefined;
          if (!pasted) return;
          e.preventDefault();
          // A text too large to be shown is refused with its reason; it need not pass through the field, and neither need markup.
          if (pasted.name === 'pasted text') setText(pasted.text.length > 500_000 ? '' : pasted.text);
          onText(pasted.text, pasted.name);
        }}
        className="min-h-52 flex-1 resize-none rounded-lg border border-line p-3 font-mono text-[13px] whitespace-pre"
      />
      <div className="flex gap-2">
        <Button tone="main" disabled={disabled || text.trim() === ''} onClick={() => onText(text)}>
          Read the table
        </Button>
        <Button disabled={disabled} onClick={onChoose}>
          Choose a file…
        </Button>
      </div>
    </div>
  );
}
