<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;
use Telamon\Staff\Permission;
use Telamon\Staff\Staff;

/**
 * Whether whoever is signed in has a permission.
 *
 * @extends Voter<string, mixed>
 */
final class PermissionVoter extends Voter
{
    public function supportsAttribute(string $attribute): bool
    {
        return null !== Permission::tryFrom($attribute);
    }

    protected function supports(string $attribute, mixed $subject): bool
    {
        return $this->supportsAttribute($attribute);
    }

    protected function voteOnAttribute(string $attribute, mixed $subject, TokenInterface $token, ?Vote $vote = null): bool
    {
        $staff = $token->getUser();

        return $staff instanceof Staff && $staff->may(Permission::from($attribute));
    }
}
