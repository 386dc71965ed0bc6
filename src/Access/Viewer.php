<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Telamon\Database\Remembers;
use Telamon\Record\ForOffice;
use Telamon\Record\Journaled;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Permission;
use Telamon\Staff\Reach;
use Telamon\Staff\Staff;

/**
 * Whoever looks, and which records they may read: the one check that every view, list, search, journal and file asks.
 * Who may not see all reads the projects they work on, those projects' clients and files, and nothing else. Without
 * anybody signed in (the worker, a command) all is seen: nobody reaches a controller so.
 */
final class Viewer implements Remembers
{
    /** @var array{projects: list<string>, clients: list<string>}|null */
    private ?array $own = null;

    public function __construct(private readonly TokenStorageInterface $tokens, private readonly Reach $reach)
    {
    }

    public function may(Permission $permission): bool
    {
        return $this->staff()?->may($permission) ?? true;
    }

    /** @return list<string>|null ids of the projects that may be read; null for all */
    public function projects(): ?array
    {
        return $this->own()['projects'] ?? null;
    }

    /** @return list<string>|null ids of the clients who may be read; null for all */
    public function clients(): ?array
    {
        return $this->own()['clients'] ?? null;
    }

    public function sees(Journaled $record): bool
    {
        $own = $this->own();
        $context = $record->recordContext();
        if (null !== $own && $record instanceof ForOffice && $record->isForOffice()) {
            return false;
        }

        return null === $own
            || (null !== $context['project'] ? \in_array($context['project'], $own['projects'], true) : $record::isReadWithClient() && \in_array($context['client'], $own['clients'], true));
    }

    /**
     * @template T of Journaled
     *
     * @param T $record
     *
     * @return T
     *
     * @throws Refusal where it may not be read
     */
    public function read(Journaled $record): Journaled
    {
        return $this->sees($record) ? $record : throw new NotYours();
    }

    /** @return string what they sign in by; empty where nobody is signed in */
    public function name(): string
    {
        return $this->staff()?->getUserIdentifier() ?? '';
    }

    /** @param list<string> $staff ids */
    public function isOneOf(array $staff): bool
    {
        return \in_array($this->staff()->id ?? '', $staff, true);
    }

    public function reset(): void
    {
        $this->own = null;
    }

    private function staff(): ?Staff
    {
        $user = $this->tokens->getToken()?->getUser();

        return $user instanceof Staff ? $user : null;
    }

    /** @return array{projects: list<string>, clients: list<string>}|null null where all is seen */
    private function own(): ?array
    {
        $staff = $this->staff();

        return null === $staff || $staff->may(Permission::SeeAll)
            ? null
            : $this->own ??= ['projects' => $this->reach->projects($staff), 'clients' => $this->reach->clients($staff)];
    }
}
