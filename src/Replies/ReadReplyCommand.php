<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Core\Replies\ReplyReader;

#[AsCommand('telamon:replies:read', 'Prints what a reply means, as JSON; nothing is kept')]
final class ReadReplyCommand extends Command
{
    public function __construct(private readonly MailReader $mails, private readonly ReplyReader $replies)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'a mail (.eml), or its text');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $file = $input->getArgument('file');
        if (!\is_string($file) || !is_file($file)) {
            $output->writeln('There is no such file.');

            return Command::INVALID;
        }
        $bytes = (string) file_get_contents($file);
        $text = str_ends_with(strtolower($file), '.eml') ? $this->mails->read($bytes)->text : mb_scrub($bytes, 'UTF-8');
        $output->writeln(json_encode($this->replies->read($text)->toArray(), \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
