<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Journal\Act;
use Telamon\Journal\Change;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Tags several clients at once, or gives them to somebody: one change, taken back by one undo. */
final readonly class SeveralClients
{
    private const MOST = 500;

    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    /**
     * @return int how many
     *
     * @throws Refusal
     */
    public function change(Edit $edit, Staff $staff): int
    {
        $ids = $edit->texts('ids', self::MOST, 36) ?? [];
        $tag = $edit->text('tag', 60);
        $owner = $edit->text('owner', 36);
        if ([] === $ids) {
            throw new InvalidInput('ids', 'Choose clients first.');
        }
        if (null === $tag && null === $owner) {
            throw new InvalidInput('tag', 'Say what is to be done.');
        }
        if ('' === $tag) {
            throw new InvalidInput('tag', 'Write a tag.');
        }
        $to = null === $owner || '' === $owner ? null : $this->em->find(Staff::class, $owner) ?? throw new InvalidInput('owner', 'Choose somebody who is here.');
        $count = \count($ids);
        $words = null !== $tag ? "tagged $count clients $tag" : (null === $to ? "gave $count clients to nobody in particular" : "gave $count clients to {$to->name}");

        return $this->changes->carryOut(Act::of(ChangeKind::Edit, $words, $staff), function () use ($ids, $tag, $owner, $to): int {
            $clients = $this->em->getRepository(Client::class)->findBy(['id' => $ids, 'mergedInto' => null]);
            foreach ($clients as $client) {
                null === $tag ?: $client->tag([$tag]);
                null === $owner ?: $client->giveTo($to);
            }

            return \count($clients);
        });
    }

    /** @return list<string> every tag that some client has, by the alphabet */
    public function tags(): array
    {
        /** @var list<string> $tags */
        $tags = $this->em->createQueryBuilder()->select('DISTINCT t.tag')->from(ClientTag::class, 't')->getQuery()->getSingleColumnResult();
        sort($tags, \SORT_NATURAL | \SORT_FLAG_CASE);

        return $tags;
    }
}
