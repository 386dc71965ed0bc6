<?php

declare(strict_types=1);

namespace Telamon\Forms;

use Doctrine\ORM\Mapping as ORM;
use Telamon\Database\Ids;

/** A form, found by the ending of its address. */
#[ORM\Entity]
class Form
{
    #[ORM\Id, ORM\Column(length: 36)]
    public readonly string $id;

    /** The published version; none while the form is a draft. */
    #[ORM\ManyToOne]
    public ?FormVersion $published = null;

    public function __construct(
        #[ORM\Column(length: 60, unique: true)]
        public string $slug,
        #[ORM\Column(length: 200)]
        public string $title,
    ) {
        $this->id = Ids::next();
    }
}
