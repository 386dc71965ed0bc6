<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Files\Attachment;
use Telamon\Files\FileStore;

/** Puts a quote as it stands on file with its client and project. Call it inside a change. */
final readonly class QuoteFiles
{
    public function __construct(private EntityManagerInterface $em, private FileStore $store, private QuotePdf $pdf)
    {
    }

    public function keep(Quote $quote, string $name): Attachment
    {
        $path = tempnam(sys_get_temp_dir(), 'quote') ?: throw new \RuntimeException('nothing can be written');
        try {
            file_put_contents($path, $this->pdf->of($quote));
            $file = new Attachment($this->store->keep($path), $name, null, '', 1);
        } finally {
            @unlink($path);
        }
        $file->putWith($quote->client, $quote->project, null);
        $this->em->persist($file);

        return $file;
    }
}
