<?php

declare(strict_types=1);

namespace Telamon\Projects;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Business\Profile;
use Telamon\Core\Rules\Asked;
use Telamon\Record\DeclaresFacts;
use Telamon\Staff\Staff;

/** What rules may ask about a project that is there. */
final readonly class AskedOfProjects implements DeclaresFacts
{
    public function __construct(private Profile $business, private EntityManagerInterface $em)
    {
    }

    public function canAsk(string $name): bool
    {
        return \in_array($name, ['@stage', '@stage_before', '@lead', '@project_tags'], true);
    }

    public function asked(): iterable
    {
        $stages = array_combine($this->business->stages(), $this->business->stages());
        yield Asked::oneOf('@stage', 'the project’s stage', $stages)->ofProject();
        yield Asked::oneOf('@stage_before', 'the stage before', $stages)->ofProject();
        yield Asked::oneOf('@lead', 'whoever leads', $this->staff())->ofProject();
        yield Asked::text('@project_tags', 'the project’s tags')->ofProject();
    }

    /** @return array<string, string> names by id */
    private function staff(): array
    {
        $names = [];
        foreach ($this->em->getRepository(Staff::class)->findBy([], ['name' => 'ASC']) as $member) {
            $names[$member->id] = $member->name;
        }

        return $names;
    }
}
