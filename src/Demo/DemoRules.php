<?php

declare(strict_types=1);

namespace Telamon\Demo;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Rules\HandlingRule;
use Telamon\Staff\Staff;

/** The workshop's handling rules. */
final readonly class DemoRules
{
    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    public function load(\DateTimeImmutable $now): void
    {
        $this->changes->carryOut(Act::of(ChangeKind::Setup, 'made six rules')->at($now), function (): void {
            $pim = $this->em->getRepository(Staff::class)->findOneBy(['initials' => 'PT'])->id ?? '';
            $this->em->persist(new HandlingRule(1, 'Stairs need two', 'Nobody carries a piano up alone.', true, [
                'forms' => ['piano-inquiry'], 'if' => ['any' => array_map(
                    static fn (string $word): array => ['question' => 'place', 'op' => 'has-word', 'value' => $word],
                    ['step', 'steps up', 'stairs', 'floor'],
                )],
                'then' => [
                    ['kind' => 'tag', 'record' => 'project', 'tag' => 'stairs'],
                    ['kind' => 'task', 'name' => 'Find a second pair of hands', 'doer' => 'lead', 'days' => '2'],
                    ['kind' => 'notice', 'staff' => $pim],
                ],
            ]));
            $this->em->persist(new HandlingRule(2, 'Welcome', 'Whoever is new gets a call in the first week.', true, [
                'if' => ['question' => '@client', 'op' => 'is', 'value' => 'new'],
                'then' => [
                    ['kind' => 'tag', 'record' => 'client', 'tag' => 'new in {{service}}'],
                    ['kind' => 'task', 'name' => 'Call to say hello', 'doer' => 'coordinator', 'days' => '5'],
                ],
            ]));
            $this->em->persist(new HandlingRule(3, 'Photographs spare a visit', 'With three photographs a quote can be made at the desk.', false, [
                'forms' => ['piano-inquiry'], 'if' => ['question' => '@files', 'op' => 'more-than', 'value' => '2'],
                'then' => [['kind' => 'note', 'text' => 'Quote from the photographs; no first visit needed.']],
            ]));
            $this->em->persist(new HandlingRule(4, 'Whoever did not finish gets a call', 'Half an hour without the longer form: something came between.', true, [
                'when' => 'unfinished', 'then' => [['kind' => 'task', 'name' => 'Ring {{name}}', 'doer' => 'coordinator', 'days' => '0']],
            ]));
            $this->em->persist(new HandlingRule(5, 'Photograph it before work begins', 'So that nobody argues about a scratch.', true, [
                'when' => 'stage', 'what' => 'Workshop', 'then' => [
                    ['kind' => 'task', 'name' => 'Photograph the piano from all sides', 'doer' => 'lead', 'days' => '0'],
                    ['kind' => 'tag', 'record' => 'project', 'tag' => 'in the workshop'],
                ],
            ]));
            $this->em->persist(new HandlingRule(6, 'Halls are visited when they are free', 'The days stand in the form; nobody has to ring.', true, [
                'forms' => ['hall-instruments'], 'then' => [['kind' => 'hold', 'visit' => 'pitch-raised']],
            ]));
        });
    }
}
