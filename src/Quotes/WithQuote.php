<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Quotes\Content;
use Telamon\Files\Attachment;
use Telamon\Refusal\InvalidInput;
use Telamon\Refusal\NotThere;
use Telamon\Refusal\Refusal;

/** The files that go with a quote: some of those on file with its project and its client, and no others. */
final readonly class WithQuote
{
    public function __construct(private EntityManagerInterface $em)
    {
    }

    /** @return list<Attachment> in the order chosen; what was removed since, or put elsewhere, is not shown */
    public function of(Quote $quote, ?Content $content = null): array
    {
        $files = array_map(fn (string $id): ?Attachment => $this->em->find(Attachment::class, $id), ($content ?? $quote->content())->attachments);

        return array_values(array_filter($files, static fn (?Attachment $file): bool => null !== $file && self::belongs($file, $quote)));
    }

    /** @throws NotThere */
    public function one(Quote $quote, string $id): Attachment
    {
        foreach ($this->of($quote) as $file) {
            if ($file->id === $id) {
                return $file;
            }
        }
        throw new NotThere('file');
    }

    /** @throws Refusal where a file is not one of the project or the client */
    public function refuseOthers(Quote $quote, Content $content): void
    {
        if (\count($this->of($quote, $content)) < \count($content->attachments)) {
            throw new InvalidInput('content.attachments', 'A file that was to go with it is not with this project any more. Choose again.');
        }
    }

    private static function belongs(Attachment $file, Quote $quote): bool
    {
        return null === $file->removedAt && ($file->client === $quote->client || (null !== $file->project && $file->project === $quote->project));
    }
}
