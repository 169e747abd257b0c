import { Command, CommanderError } from 'commander';
import { check } from './commands/check';
import { diff } from './commands/diff';
import { draft } from './commands/draft';
import { exportPart, release } from './commands/export';
import { intake } from './commands/intake';
import { models, pads } from './commands/lists';
import { match } from './commands/match';
import { trial } from './commands/trial';
import { tell } from './output';
import { Refusal } from './refusal';

const program = new Command('green-kite')
  .description('From a datasheet’s pinout to a released schematic symbol.')
  .exitOverride()
  .configureOutput({
    outputError: (text, write) => write(text.replace(/^error: /, 'green-kite: ').replace(/\n(?=.)/g, ' ')),
  })
  .showHelpAfterError(false);

const JSON_FLAG = ['--json', 'print one JSON document', false] as const;

program
  .command('intake <file>')
  .description('read a pin table')
  .option('--package <name>')
  .option('--sheet <name>')
  .option('--page <n>')
  .option(...JSON_FLAG)
  .action(intake);
program
  .command('draft <source>')
  .description('read, plan units and arrange; write a part file')
  .requiredOption('-o, --output <part>')
  .option('--package <name>')
  .option('--rules <file>')
  .option(...JSON_FLAG)
  .action(draft);
program
  .command('pads <file>')
  .description('list the pads of a land')
  .option(...JSON_FLAG)
  .action(pads);
program
  .command('models <file>')
  .description('list the models of a SPICE file')
  .option(...JSON_FLAG)
  .action(models);
program
  .command('match <pins> <modelfile>')
  .description('match pins to the nodes of a model')
  .requiredOption('--model <name>')
  .option(...JSON_FLAG)
  .action(match);
program
  .command('check <file...>')
  .description('check part files or folders of them')
  .option('--rules <file>')
  .option(...JSON_FLAG)
  .action(check);
program
  .command('export <part>')
  .description('write a part in another format')
  .requiredOption('--to <format>')
  .requiredOption('-o, --output <path>')
  .option(...JSON_FLAG)
  .action(exportPart);
program
  .command('release <part>')
  .description('release a part that no error stops')
  .requiredOption('--version <v>')
  .requiredOption('--note <text>')
  .requiredOption('-o, --output <folder>')
  .option('--rules <file>')
  .option(...JSON_FLAG)
  .action(release);
program
  .command('diff <old> <new>')
  .description('compare two sources or two part files')
  .option('--package <name>')
  .option(...JSON_FLAG)
  .action(diff);
program
  .command('trial <part> [model-file]')
  .description('simulate a joined model and judge it')
  .option('--model <name>')
  .option('--map <file>')
  .option('--device <kind>')
  .option(...JSON_FLAG)
  .action(trial);

// A reader that closes the pipe early (`| head`) has what it wanted.
process.stdout.on('error', (error: NodeJS.ErrnoException) => process.exit(error.code === 'EPIPE' ? 0 : 1));

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof CommanderError) process.exitCode = error.exitCode === 0 ? 0 : 2;
  else if (error instanceof Refusal) {
    tell(error.message.replace(/\s*[\r\n]+\s*/g, ' '));
    process.exitCode = error.exitCode;
  } else {
    // Our own mistake: said in one line, with what helps to report it and nothing that a stranger must read.
    tell(`green-kite: this is a fault of the program, not of your file: ${(error as Error).message.split('\n')[0]}`);
    process.exitCode = 1;
  }
}
