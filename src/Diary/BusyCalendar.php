<?php

declare(strict_types=1);

namespace Telamon\Diary;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;
use Telamon\Record\PartOf;
use Telamon\Record\Setting;
use Telamon\Record\Untold;
use Telamon\Staff\Staff;

/** Another calendar of somebody, from which times are read at which they are busy. */
#[ORM\Entity]
class BusyCalendar implements PartOf
{
    use Setting;

    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    #[ORM\Column(nullable: true), Untold]
    public ?\DateTimeImmutable $readAt = null;

    #[ORM\Column(length: 300, options: ['default' => '']), Untold]
    public string $trouble = '';

    /** @param string $address https address; empty for a file that was sent */
    public function __construct(
        #[ORM\ManyToOne]
        #[ORM\JoinColumn(nullable: false)]
        public readonly Staff $staff,
        #[ORM\Column(length: 500)]
        public readonly string $address,
    ) {
        $this->id = Ids::next();
    }

    public static function partKind(): string
    {
        return 'other calendar';
    }

    public function recordLabel(): string
    {
        return "{$this->staff->name}’s other calendar";
    }
}
