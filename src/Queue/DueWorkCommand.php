<?php

declare(strict_types=1);

namespace Telamon\Queue;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Command\SignalableCommandInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

#[AsCommand('telamon:due:work', 'Does what is due by the clock, as long as it runs')]
final class DueWorkCommand extends Command implements SignalableCommandInterface
{
    private const PAUSE = 500_000;

    private bool $ends = false;

    public function __construct(private readonly DueRun $run)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('outside', null, InputOption::VALUE_NONE, 'only what asks hosts outside; without it, all the rest')
            ->addOption('once', null, InputOption::VALUE_NONE, 'look once, and end')
            ->addOption('time-limit', null, InputOption::VALUE_REQUIRED, 'seconds after which it ends', '3600')
            ->addOption('memory-limit', null, InputOption::VALUE_REQUIRED, 'megabytes beyond which it ends', '128');
    }

    /** @return list<int> */
    public function getSubscribedSignals(): array
    {
        return [\SIGTERM, \SIGINT];
    }

    public function handleSignal(int $signal, int|false $previousExitCode = 0): int|false
    {
        $this->ends = true;

        return false;
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $number = static fn (string $name): int => is_numeric($input->getOption($name)) ? (int) $input->getOption($name) : 0;
        // How long a process runs is no matter of the business's clock.
        $until = hrtime(true) + 1_000_000_000 * $number('time-limit');
        $goOn = fn (): bool => !$this->ends && hrtime(true) < $until && memory_get_usage(true) < 1_048_576 * $number('memory-limit');
        do {
            $this->run->round((bool) $input->getOption('outside'), $goOn);
            if (true === $input->getOption('once')) {
                break;
            }
            usleep(self::PAUSE);
        } while ($goOn());

        return Command::SUCCESS;
    }
}
