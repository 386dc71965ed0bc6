<?php

declare(strict_types=1);

namespace Telamon\Setup;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Telamon\Business\Business;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Staff\Role;
use Telamon\Staff\Staff;

/** Prepares an installation without the demo: one business, one owner, one inquiry form. */
#[AsCommand('telamon:set-up', 'Set an empty installation up: a business, its owner, a first form')]
final class SetUpCommand extends Command
{
    public function __construct(
        private readonly EntityManagerInterface $em,
        private readonly UserPasswordHasherInterface $hasher,
        private readonly StarterKit $kit,
        private readonly Changes $changes,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this
            ->addOption('name', null, InputOption::VALUE_REQUIRED, 'The name of the business', 'My business')
            ->addOption('owner', null, InputOption::VALUE_REQUIRED, 'The name of its owner', 'The Owner')
            ->addOption('email', null, InputOption::VALUE_REQUIRED, 'The address that the owner signs in with', 'owner@business.example')
            ->addOption('time-zone', null, InputOption::VALUE_REQUIRED, 'IANA time zone', 'Europe/Dublin')
            ->addOption('region', null, InputOption::VALUE_REQUIRED, 'ISO 3166-1 code, for phone numbers without a country', 'IE')
            ->addOption('currency', null, InputOption::VALUE_REQUIRED, 'ISO 4217 code', 'EUR');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if (null !== $this->em->getRepository(Business::class)->findOneBy([])) {
            $output->writeln('There is a business on file already; nothing was changed.', OutputInterface::VERBOSITY_VERBOSE);

            return Command::SUCCESS;
        }
        $given = static fn (string $name): string => \is_string($input->getOption($name)) ? trim($input->getOption($name)) : '';
        $fault = self::fault($given);
        if (null !== $fault) {
            $output->writeln($fault);

            return Command::FAILURE;
        }
        $password = bin2hex(random_bytes(8));
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'set the installation up'), function () use ($given, $password): void {
            $words = explode(' ', $given('owner'));
            $owner = new Staff($given('email'), $given('owner'), mb_strtoupper(mb_substr($words[0], 0, 1).mb_substr(end($words), 0, 1)), Role::Owner);
            $owner->keepPassword($this->hasher->hashPassword($owner, $password));
            $this->em->persist($owner);
            $day = [['09:00', '17:00']];
            $this->em->persist(new Business(
                $given('name'),
                $given('email'),
                '',
                '',
                strtoupper($given('region')),
                $given('time-zone'),
                strtoupper($given('currency')),
                'asset',
                '',
                [1 => $day, 2 => $day, 3 => $day, 4 => $day, 5 => $day, 6 => [], 7 => []],
                'Mon to Fri, 9 to 5',
                $owner,
            ));
            $this->kit->add();
            $form = new Form('inquiry', 'Inquiry');
            $version = new FormVersion($form, 1, self::inquiry(), $this->clock->now());
            $this->em->persist($form);
            $this->em->persist($version);
            $this->em->flush();
            $form->publish($version);
        });
        $output->writeln(['', "Sign in as      {$given('email')} / $password   (shown once; keep it)", 'A form to fill  /f/inquiry']);

        return Command::SUCCESS;
    }

    /** @param callable(string): string $given */
    private static function fault(callable $given): ?string
    {
        return match (true) {
            '' === $given('name') => 'A business has a name: --name "…"',
            1 !== preg_match('/^\S+@\S+\.\S+$/', $given('email')) => 'The owner signs in with an email address: --email name@example.com',
            !\in_array($given('time-zone'), \DateTimeZone::listIdentifiers(), true) => 'That is no IANA time zone. Write it like Europe/Dublin.',
            1 !== preg_match('/^[A-Za-z]{2}$/', $given('region')) => 'A region has two letters, like IE.',
            1 !== preg_match('/^[A-Za-z]{3}$/', $given('currency')) => 'A currency has three letters, like EUR.',
            default => null,
        };
    }

    /** @return array<string, mixed> */
    private static function inquiry(): array
    {
        return [
            'title' => 'Write to us',
            'intro' => 'Five short questions. A person reads them and answers.',
            'privacy' => 'We use them to answer you, and delete them when you ask.',
            'thanks' => 'Thank you. Your number is {{reference}}.',
            'steps' => [['when' => 'First', 'what' => 'You write.'], ['when' => 'Then', 'what' => 'We answer.']],
            'promiseMinutes' => 240,
            'dayOrder' => 'day-first',
            'purpose' => 'open',
            'pages' => [
                ['key' => 'you', 'title' => 'You', 'next' => 'Next', 'questions' => [
                    ['key' => 'name', 'type' => 'person-name', 'wording' => 'Your name', 'required' => true, 'destination' => 'client.name'],
                    ['key' => 'email', 'type' => 'email', 'wording' => 'Email', 'required' => true, 'destination' => 'client.email'],
                    ['key' => 'phone', 'type' => 'phone', 'wording' => 'Phone', 'hint' => 'if you would like a call', 'destination' => 'client.phone'],
                ]],
                ['key' => 'wish', 'title' => 'Your wish', 'next' => 'Send', 'questions' => [
                    ['key' => 'matter', 'type' => 'long-text', 'wording' => 'What can we do for you?', 'required' => true, 'destination' => 'project.notes'],
                    ['key' => 'files', 'type' => 'files', 'wording' => 'Photographs or papers', 'destination' => 'files'],
                ]],
            ],
        ];
    }
}
