<?php

declare(strict_types=1);

namespace Telamon\Tests\Files;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Clock\NativeClock;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Files\FileStore;
use Telamon\Files\Upload;

/** Keeps a file as an upload does, in a process of its own, so that several can bring the same bytes at once. */
#[AsCommand('test:keep')]
final class KeepCommand extends Command
{
    public function __construct(private readonly FileStore $store, private readonly EntityManagerInterface $em)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED)->addArgument('at', InputArgument::REQUIRED);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        $at = $input->getArgument('at');
        \assert(\is_string($file) && is_numeric($at));
        // All begin at the same moment, however long each took to start.
        time_sleep_until(max(microtime(true) + 0.001, (float) $at));
        $this->em->persist(new Upload($this->store->keep($file), 'a.jpg', (new NativeClock())->now()));
        $this->em->flush();

        return 0;
    }
}
