<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Quotes\Content;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\Refusal;
use Telamon\Staff\Staff;

/** Templates of quotes: kept from a quote that stands, taken as the beginning of another. */
final readonly class Templates
{
    private const MOST = 100;

    public function __construct(private EntityManagerInterface $em, private Changes $changes)
    {
    }

    /** @return array{items: list<array{id: string, name: string, lines: int}>} by name */
    public function show(): array
    {
        return ['items' => array_map(static fn (QuoteTemplate $one): array => ['id' => $one->id, 'name' => $one->name, 'lines' => \count($one->content()->lines)], $this->all())];
    }

    /** What a quote may begin with; null for no such template. */
    public function content(string $id): ?Content
    {
        return $this->em->find(QuoteTemplate::class, $id)?->content();
    }

    /**
     * Under a name that is taken it stands in the place of what had it.
     *
     * @throws Refusal
     */
    public function keep(Quote $quote, Edit $edit, Staff $by): void
    {
        $name = $edit->text('name', 100) ?? '';
        if ('' === $name) {
            throw new InvalidInput('name', 'Give it a name.');
        }
        $this->changes->carryOut($this->change("kept {$quote->shown()} as the template $name", $by), function () use ($name, $quote): void {
            $there = $this->em->getRepository(QuoteTemplate::class)->findOneBy(['name' => $name]);
            if (null !== $there) {
                $there->say($quote->content());

                return;
            }
            if (\count($this->all()) >= self::MOST) {
                throw new InvalidInput('name', 'There are '.self::MOST.' templates already. Remove one first.');
            }
            $this->em->persist(new QuoteTemplate($name, $quote->content()));
        });
    }

    public function remove(string $id, Staff $by): void
    {
        $template = $this->em->find(QuoteTemplate::class, $id);
        if (null !== $template) {
            $this->changes->carryOut($this->change("removed the quote template {$template->name}", $by), fn () => $this->em->remove($template));
        }
    }

    /** @return list<QuoteTemplate> */
    private function all(): array
    {
        return $this->em->getRepository(QuoteTemplate::class)->findBy([], ['name' => 'ASC']);
    }

    private function change(string $words, Staff $by): Act
    {
        return Act::of(ChangeKind::Settings, $words, $by);
    }
}
