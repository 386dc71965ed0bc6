<?php

declare(strict_types=1);

namespace Telamon\Access;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Telamon\Staff\Staff;

/** A way in for whoever runs the installation and has lost the password: shown once, sessions end. */
#[AsCommand('telamon:staff:password', 'Give a member of staff another password, and show it once')]
final class PasswordCommand extends Command
{
    public function __construct(private readonly EntityManagerInterface $em, private readonly UserPasswordHasherInterface $hasher)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('email', InputArgument::OPTIONAL, 'The address that they sign in with; without one, all are listed');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $email = $input->getArgument('email');
        $staff = \is_string($email) ? $this->em->getRepository(Staff::class)->findOneBy(['email' => $email]) : null;
        if (null === $staff) {
            $output->writeln(\is_string($email) ? "Nobody signs in as $email. These do:" : 'Name one of these:');
            foreach ($this->em->getRepository(Staff::class)->findBy([], ['name' => 'ASC']) as $one) {
                $output->writeln("  {$one->email}  {$one->name}, {$one->role->value}");
            }

            return Command::FAILURE;
        }
        $password = bin2hex(random_bytes(8));
        // Sessions rest on a sum of the hash: with another one they have ended.
        $staff->keepPassword($this->hasher->hashPassword($staff, $password));
        $this->em->flush();
        $output->writeln("{$staff->name} signs in as {$staff->email} / $password   (shown once; keep it)");

        return Command::SUCCESS;
    }
}
