<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Clients\Client;
use Telamon\Files\Attachment;
use Telamon\Files\FileKind;
use Telamon\Files\FileStore;
use Telamon\Projects\Project;

/** Puts a quote or an agreement as it stands on file with its client and project. Call it inside a change. */
final readonly class QuoteFiles
{
    public function __construct(private EntityManagerInterface $em, private FileStore $store, private QuotePdf $pdf)
    {
    }

    public function keep(Quote $quote, string $name): Attachment
    {
        return $this->put($this->pdf->of($quote), $name, $quote->client, $quote->project);
    }

    public function keepAgreement(Agreement $agreement): Attachment
    {
        return $this->put($this->pdf->ofAgreement($agreement), FileKind::safeName("{$agreement->title}-signed.pdf"), $agreement->client, $agreement->project);
    }

    private function put(string $bytes, string $name, Client $client, ?Project $project): Attachment
    {
        $path = tempnam(sys_get_temp_dir(), 'paper') ?: throw new \RuntimeException('nothing can be written');
        try {
            file_put_contents($path, $bytes);
            $file = new Attachment($this->store->keep($path), $name, null, '', 1);
        } finally {
            @unlink($path);
        }
        $file->putWith($client, $project, null);
        $this->em->persist($file);

        return $file;
    }
}
