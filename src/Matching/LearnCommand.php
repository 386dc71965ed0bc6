<?php

declare(strict_types=1);

namespace Telamon\Matching;

use Random\Engine\Mt19937;
use Random\Randomizer;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Helper\Table;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Business\Profile;
use Telamon\Core\Matching\Comparator;
use Telamon\Core\Matching\Counted;
use Telamon\Core\Matching\DuplicateFinder;
use Telamon\Core\Matching\Estimator;
use Telamon\Core\Matching\ShortForms;
use Telamon\Core\Matching\Weights;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;

#[AsCommand('telamon:clients:learn', 'Estimates from the clients on file what their fields are worth in telling them apart')]
final class LearnCommand extends Command
{
    private const RANDOM_PAIRS = 50_000;
    private const FEWEST = 500;

    public function __construct(
        private readonly PeopleOnFile $people,
        private readonly ShortForms $forms,
        private readonly Estimator $estimator,
        private readonly MatchSettings $settings,
        private readonly Profile $business,
        private readonly Changes $changes,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('keep', null, InputOption::VALUE_NONE, 'Match by the new weights from now on')
            ->addOption('usual', null, InputOption::VALUE_NONE, 'Go back to the weights that ship');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (true === $input->getOption('usual')) {
            $this->keep([]);
            $output->writeln('Matching by the usual weights.');

            return Command::SUCCESS;
        }
        $people = array_values($this->people->all());
        if (\count($people) < self::FEWEST) {
            $output->writeln(\sprintf('There are %d clients. Nothing can be learned from fewer than %d.', \count($people), self::FEWEST));

            return Command::FAILURE;
        }
        $before = $this->settings->weights();
        $after = $this->estimator->estimate(...$this->comparisons($people), before: $before);
        $this->show($output, $before, $after);
        if (true === $input->getOption('keep')) {
            $this->keep($after->shares);
        }
        $output->writeln(true === $input->getOption('keep') ? 'Matching by these from now on.' : 'Nothing was changed. With --keep they count from now on.');

        return Command::SUCCESS;
    }

    /**
     * @param list<\Telamon\Core\Matching\Person> $people
     *
     * @return array{list<array<string, \Telamon\Core\Matching\Level>>, list<array<string, \Telamon\Core\Matching\Level>>}
     */
    private function comparisons(array $people): array
    {
        $counted = new Counted();
        array_map($counted->add(...), $people);
        $comparator = new Comparator($this->forms, $counted);
        $near = [];
        foreach ((new DuplicateFinder($this->forms))->candidates($people) as $i => $others) {
            foreach ($others as $j) {
                $near[] = $comparator->compare($people[$j], $people[$i]);
            }
        }
        // The same records give the same weights.
        $dice = new Randomizer(new Mt19937(1));
        $random = [];
        for ($i = 0; $i < self::RANDOM_PAIRS; ++$i) {
            $random[] = $comparator->compare($people[$dice->getInt(0, \count($people) - 1)], $people[$dice->getInt(0, \count($people) - 1)]);
        }

        return [$near, $random];
    }

    private function show(OutputInterface $output, Weights $before, Weights $after): void
    {
        $table = new Table($output);
        $table->setHeaders(['field', 'agrees', 'm before', 'm after', 'u before', 'u after', 'weight before', 'weight after']);
        foreach ($after->shares as $field => $levels) {
            foreach ($levels as $level => $share) {
                $was = $before->shares[$field][$level] ?? $share;
                $table->addRow([
                    $field, $level, \sprintf('%.3f', $was['m']), \sprintf('%.3f', $share['m']), \sprintf('%.6f', $was['u']), \sprintf('%.6f', $share['u']),
                    \sprintf('%+.1f', Weights::log2($was['m'], $was['u'])), \sprintf('%+.1f', Weights::log2($share['m'], $share['u'])),
                ]);
            }
        }
        $table->render();
    }

    /** @param array<string, array<string, array{m: float, h: float, u: float}>> $shares */
    private function keep(array $shares): void
    {
        $this->changes->carryOut(Act::of(
            ChangeKind::Setup,
            [] === $shares ? 'matches by the usual weights' : 'matches by weights learned from the records',
        ), function () use ($shares): void {
            $this->business->business()->matchBy($shares);
        });
    }
}
