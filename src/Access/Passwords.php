<?php

declare(strict_types=1);

namespace Telamon\Access;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Telamon\Refusal\InvalidInput;
use Telamon\Staff\Staff;

/** Changes passwords. Sessions rest on a sum of the hash: with another hash all of them have ended. */
final readonly class Passwords
{
    public function __construct(private EntityManagerInterface $em, private UserPasswordHasherInterface $hasher)
    {
    }

    /**
     * @param string $field that a refusal is told beside
     *
     * @throws InvalidInput
     */
    public function set(Staff $staff, string $password, string $field): void
    {
        PasswordRules::check($field, $password, [$staff->name, ...explode(' ', $staff->name), $staff->email, explode('@', $staff->email)[0]]);
        $this->keep($staff, $password);
    }

    /** The same password under another hash: every session that rested on the old one ends. */
    public function renew(Staff $staff, string $password): void
    {
        $this->keep($staff, $password);
    }

    /** @throws InvalidInput where it is another one */
    public function refuseWrong(Staff $staff, string $password, string $field): void
    {
        if (!$this->hasher->isPasswordValid($staff, $password)) {
            throw new InvalidInput($field, 'This is not your password.');
        }
    }

    private function keep(Staff $staff, string $password): void
    {
        $staff->keepPassword($this->hasher->hashPassword($staff, $password));
        // Only the hash, which the journal never holds: no change to be undone.
        $this->em->flush();
    }
}
