<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Telamon\Core\Replies\Asked;
use Telamon\Core\Replies\MachineMail;
use Telamon\Core\Replies\MailOrigin;
use Telamon\Core\Replies\ReplyReader;
use Telamon\Core\Replies\ReplyReading;
use Telamon\Core\Replies\ReplyStripper;

#[AsCommand('telamon:replies:read', 'Prints what a reply means, as JSON; nothing is kept')]
final class ReadReplyCommand extends Command
{
    public function __construct(private readonly MailReader $mails, private readonly ReplyReader $replies)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED | InputArgument::IS_ARRAY, 'mails (.eml), or their texts; several give a list')
            ->addOption('asked', null, InputOption::VALUE_REQUIRED, 'what the letter asked that they answer: decision, other or nothing', Asked::Decision->value);
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $asked = $input->getOption('asked');
        $asked = \is_string($asked) ? Asked::tryFrom($asked) : null;
        $files = $input->getArgument('file');
        $files = \is_array($files) ? array_values(array_filter($files, \is_string(...))) : [];
        if (null === $asked) {
            $output->writeln('--asked is decision, other or nothing.');

            return Command::INVALID;
        }
        foreach ($files as $file) {
            if (!is_file($file)) {
                $output->writeln("There is no file $file.");

                return Command::INVALID;
            }
        }
        $read = array_map(fn (string $file): array => $this->read($file, $asked), $files);
        $output->writeln(
            json_encode(1 === \count($read) ? $read[0] : $read, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES),
            OutputInterface::OUTPUT_RAW,
        );

        return Command::SUCCESS;
    }

    /** @return array{says: string, confidence: float, because: list<string>, read: string} */
    private function read(string $file, Asked $asked): array
    {
        $bytes = (string) file_get_contents($file);
        if (!str_ends_with(strtolower($file), '.eml')) {
            return $this->replies->read(mb_scrub($bytes, 'UTF-8'), $asked)->toArray();
        }
        $mail = $this->mails->read($bytes);
        if (MailOrigin::Person !== MachineMail::origin($mail->headers)) {
            return ReplyReading::ofAMachine((new ReplyStripper())->part($mail->text)->said)->toArray();
        }

        return $this->replies->read($mail->text, $asked, $mail->subject)->toArray();
    }
}
