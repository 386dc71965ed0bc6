<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Form\Ending;
use Telamon\Core\Form\EndingKind;
use Telamon\Diary\BookingPage;
use Telamon\Diary\VisitType;
use Telamon\Forms\FormVersion;
use Telamon\Http\SignedText;

/** A form that leads on to the times: where to, and under which link. */
final readonly class BookingBegun
{
    public const PURPOSE = 'booking';
    /** Days in which somebody may come back to it. */
    private const DAYS = 14;

    public function __construct(private EntityManagerInterface $em, private SignedText $signed)
    {
    }

    /**
     * The ending that leads to times: the form's own, or that of the booking page that it was filled in for.
     *
     * @param string $page ending of the booking page; empty where it was filled in by itself
     */
    public function ending(?Ending $own, FormVersion $version, string $page): ?Ending
    {
        if (EndingKind::Booking === $own?->kind) {
            return null === $this->page(explode('/', $own->text)[0]) ? null : $own;
        }
        $found = '' === $page ? null : $this->page($page);

        return null !== $found && $found->form === $version->form->slug && EndingKind::Address !== $own?->kind ? new Ending(EndingKind::Booking, $page, null) : $own;
    }

    /** The address of the page of times, for whoever sent this. */
    public function address(Ending $ending, Submission $submission): string
    {
        [$page, $type, $length, $with] = explode('/', $ending->text) + ['', '', '', ''];
        $chosen = array_filter(['type' => $type, 'length' => $length, 'with' => $with], static fn (string $one): bool => '' !== $one);

        return "/book/$page?".http_build_query(['t' => $this->signed->sign(self::PURPOSE, "s:{$submission->id}", 86_400 * self::DAYS)] + $chosen);
    }

    private function page(string $slug): ?BookingPage
    {
        $page = $this->em->getRepository(BookingPage::class)->findOneBy(['slug' => $slug, 'live' => true]);

        return null !== $page && [] !== $this->em->getRepository(VisitType::class)->findBy(['id' => $page->types, 'live' => true]) ? $page : null;
    }
}
