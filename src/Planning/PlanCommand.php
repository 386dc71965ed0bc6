<?php

declare(strict_types=1);

namespace Telamon\Planning;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Form\InvalidDefinition;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Planning\Plan;
use Telamon\Forms\Form;
use Telamon\Record\Records;

#[AsCommand('telamon:plan', 'Prints the plan for a submission in a file, and saves nothing')]
final class PlanCommand extends Command
{
    public function __construct(private readonly EntityManagerInterface $em, private readonly PlanMaker $plans, private readonly Records $records)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument(
            'file',
            InputArgument::REQUIRED,
            'JSON: {"form": the ending of its address, or a definition, "answers": {…}, "sent": {…} what stood in it when it was sent out, if anything}; - for standard input',
        )
            ->addOption('format', null, InputOption::VALUE_REQUIRED, 'text or json', 'text');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $path = $input->getArgument('file');
        try {
            [$form, $answers, $slug, $sent] = $this->read('-' === $path ? 'php://stdin' : (\is_string($path) ? $path : ''));
        } catch (\InvalidArgumentException|InvalidDefinition $error) {
            $output->writeln($error->getMessage());

            return Command::FAILURE;
        }
        $plan = $this->plans->dryRun($form, $answers, $slug, $sent);
        if ('json' === $input->getOption('format')) {
            $output->writeln(
                json_encode($this->records->linked($plan->toArray()), \JSON_THROW_ON_ERROR | \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->tell($output, $plan);
        }

        return Command::SUCCESS;
    }

    /**
     * @return array{FormDefinition, array<array-key, mixed>, string, array<array-key, mixed>}
     *
     * @throws \InvalidArgumentException in words
     * @throws InvalidDefinition
     */
    private function read(string $path): array
    {
        $text = @file_get_contents($path);
        if (false === $text) {
            throw new \InvalidArgumentException('The file cannot be read.');
        }
        try {
            $data = json_decode($text, true, 64, \JSON_THROW_ON_ERROR);
        } catch (\JsonException $error) {
            throw new \InvalidArgumentException("The file is no JSON: {$error->getMessage()}.");
        }
        $form = \is_array($data) ? $data['form'] ?? null : null;
        $answers = \is_array($data) ? $data['answers'] ?? null : null;
        $sent = \is_array($data) && \is_array($data['sent'] ?? null) ? $data['sent'] : [];
        if (!\is_array($answers)) {
            throw new \InvalidArgumentException('The file holds no answers: {"form": …, "answers": {…}}.');
        }
        if (\is_array($form)) {
            return [FormDefinition::fromArray($form), $answers, '', $sent];
        }
        $form = \is_string($form) ? $form : '';
        $version = '' !== $form ? $this->em->getRepository(Form::class)->findOneBy(['slug' => $form])?->published : null;

        return [$version?->definition() ?? throw new \InvalidArgumentException("No form is published at “{$form}”."), $answers, $form, $sent];
    }

    private function tell(OutputInterface $output, Plan $plan): void
    {
        $group = '';
        foreach ($plan->lines as $i => $line) {
            if ($line->group !== $group) {
                $output->writeln($group = $line->group);
            }
            $output->writeln(\sprintf('%4d  %s%s', $i + 1, $line->isOpen() ? 'DECIDE  ' : '', self::sentence($line)), OutputInterface::OUTPUT_RAW);
            foreach ($line->compared as $field) {
                $output->writeln(
                    \sprintf('        %-14s %s | %s: %s (%+.1f)', $field->field, $field->here, $field->there, $field->verdict, $field->weight),
                    OutputInterface::OUTPUT_RAW,
                );
            }
            foreach ($line->choice->options ?? [] as $option) {
                $output->writeln(
                    \sprintf('        %s %s  %s', $option['value'] === $line->choice?->chosen ? '>' : ' ', $option['hotkey'], $option['label']),
                    OutputInterface::OUTPUT_RAW,
                );
            }
        }
        $open = \count($plan->open());
        $output->writeln(0 === $open ? 'Nothing to decide.' : "$open to decide.");
    }

    private static function sentence(PlanLine $line): string
    {
        $words = implode('', array_map(static fn (Part $part): string => $part->text.(null === $part->answer ? '' : "[{$part->answer}]"), $line->said->parts));

        return $words.('' === $line->said->note ? '' : "; {$line->said->note}").('' === $line->said->reason ? '' : "  ({$line->said->reason})");
    }
}
