<?php

declare(strict_types=1);

namespace Telamon\Access;

use Symfony\Bundle\SecurityBundle\Security;
use Telamon\Staff\Staff;

/** Whether it is somebody of the business who looks at a client's own page: that leaves no trace, and nothing is done there in the client's name. */
final readonly class OfficeLooks
{
    public function __construct(private Security $security)
    {
    }

    public function is(): bool
    {
        return $this->security->getUser() instanceof Staff;
    }

    /** @throws OfficeMayNot */
    public function refuse(): void
    {
        if ($this->is()) {
            throw new OfficeMayNot();
        }
    }
}
