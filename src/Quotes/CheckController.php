<?php

declare(strict_types=1);

namespace Telamon\Quotes;

use Doctrine\ORM\EntityManagerInterface;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpFoundation\File\UploadedFile;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Business\Profile;
use Telamon\Business\PublicFace;
use Telamon\Core\Evidence\Check;
use Telamon\Core\Evidence\Checker;
use Telamon\Core\Evidence\SealedPdf;
use Telamon\Core\Evidence\Verdict;
use Telamon\Files\Attachment;
use Telamon\Files\FileKind;
use Telamon\Http\PlainPage;
use Telamon\Http\PublicLimits;
use Telamon\Http\SignedText;
use Telamon\Journal\Act;
use Telamon\Journal\ChangeKind;
use Telamon\Journal\Changes;
use Telamon\Messages\Message;
use Telamon\Messages\MessageQueue;
use Telamon\Refusal\NotThere;

/**
 * Anybody has a signed file checked here, without an account and without a script. The file is read and not kept. As it
 * was signed it goes to the address that signed it, at most once an hour, and to nobody else.
 */
final readonly class CheckController
{
    private const MOST = 10_485_760;
    private const MAILED = 'agreement-signed';
    private const PURPOSE = 'mail what was signed';
    private const HOUR = 3600;

    public function __construct(
        private Checker $checker,
        private EntityManagerInterface $em,
        private PlainPage $page,
        private PublicFace $face,
        private PublicLimits $limits,
        private SignedText $signed,
        private Changes $changes,
        private MessageQueue $messages,
        private Profile $business,
        private ClockInterface $clock,
    ) {
    }

    #[Route('/check', methods: ['GET'], priority: -5)]
    public function ask(): Response
    {
        return $this->shown();
    }

    #[Route('/check', methods: ['POST'], priority: -5)]
    public function check(Request $request): Response
    {
        $this->limits->booking($request);
        $file = $request->files->get('file');
        if (!$file instanceof UploadedFile || !$file->isValid()) {
            return $this->shown(
                $file instanceof UploadedFile && \UPLOAD_ERR_NO_FILE !== $file->getError()
                    ? 'The file did not come whole, or has more than 10 MB. Choose it again.'
                    : 'Choose a file.',
                422,
            );
        }
        if ($file->getSize() > self::MOST) {
            return $this->shown('The file has more than 10 MB. None of ours has.', 422);
        }
        $this->limits->bytes($request, (int) $file->getSize());
        $bytes = $file->getContent();
        $verdict = $this->checker->check($bytes);
        $words = new CheckWords($verdict, $this->business->business()->name, $this->business->zone(), SealedPdf::sum($bytes));
        $record = json_decode($this->checker->record($bytes) ?? '', true);
        if (\is_array($record) && \is_string($record['drawing'] ?? null) && '' !== $record['drawing']) {
            $record['drawing'] = substr($record['drawing'], 0, 40).'…';
        }

        return $this->shown(with: [
            'verdict' => $words->toArray(), 'file' => ['name' => FileKind::safeName($file->getClientOriginalName()), 'size' => \strlen($bytes)],
            'record' => \is_array($record)
                ? (string) json_encode($record, \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_INVALID_UTF8_SUBSTITUTE)
                : '',
            'mail' => $this->mailable($verdict, $record),
        ]);
    }

    #[Route('/check/mail', methods: ['POST'], priority: -5)]
    public function mail(Request $request): Response
    {
        $this->limits->booking($request);
        $of = $request->request->get('of');
        $signed = $this->em->find(Signed::class, \is_string($of) ? ($this->signed->read(self::PURPOSE, $of) ?? '') : '');
        if (null === $signed) {
            return $this->shown('That was too long ago. Choose the file again.', 422);
        }

        return $this->shown(with: ['told' => $this->send($signed)]);
    }

    private function send(Signed $signed): string
    {
        $record = $this->em->find(Quote::class, $signed->recordId) ?? $this->em->find(Agreement::class, $signed->recordId) ?? throw new NotThere('quote');
        $files = null === $signed->pdf ? [] : $this->em->getRepository(Attachment::class)->findBy(['signed' => true, 'file' => $signed->pdf], ['id' => 'ASC'], 1);
        $email = self::email($signed);
        if ([] === $files || '' === $email) {
            return 'The file is being drawn. Try again in a minute.';
        }
        $lead = $record instanceof Agreement ? $record->project->lead : $record->lead;

        return $this->changes->carryOut(Act::of(
            ChangeKind::Receive,
            "somebody had {$files[0]->name} sent to $email again",
        )->about($record), function () use ($record, $lead, $files, $email): string {
            if ($this->wasMailed($email)) {
                return 'It was mailed within the last hour. Look into your mail, also among what is filtered out.';
            }
            $title = $record instanceof Quote ? $record->shown() : $record->title;
            $letter = $this->messages->queue(
                self::MAILED,
                $email,
                $record->client->name(),
                ['first_name' => $record->client->givenName, 'title' => $title, 'project' => $record->project->title ?? '', 'lead' => $lead->name, 'link' => ''],
                $record->client,
                $record->project,
                null,
                'asked for on the page that checks files',
            );
            $letter->encloseFile($files[0]->id);

            return "It is on its way to $email.";
        });
    }

    private function wasMailed(string $email): bool
    {
        return 0 < (int) $this->em->createQuery('SELECT COUNT(m.id) FROM '.Message::class.' m WHERE m.template = :template AND m.toAddress = :address AND m.queuedAt > :since')
            ->setParameters(['template' => self::MAILED, 'address' => $email, 'since' => $this->clock->now()->modify('-1 hour')])->getSingleScalarResult();
    }

    /**
     * @param mixed $record that is in the file
     *
     * @return array{email: string, of: string}|null where it is one of ours, and somebody can be mailed; null otherwise
     */
    private function mailable(Verdict $verdict, mixed $record): ?array
    {
        $seal = \is_array($record) && \is_array($record['seal'] ?? null) ? $record['seal'] : [];
        $signed = $verdict->holds(Check::Document) && $verdict
            ->holds(Check::Key) && \is_string($seal['document'] ?? null) ? $this->em
            ->getRepository(Signed::class)
            ->findOneBy(['sha256' => $seal['document']]) : null;
        $email = null === $signed ? '' : self::email($signed);

        return null === $signed || '' === $email ? null : ['email' => $email, 'of' => $this->signed->sign(self::PURPOSE, $signed->recordId, self::HOUR)];
    }

    private static function email(Signed $signed): string
    {
        $document = json_decode($signed->document, true);
        $reached = \is_array($document) ? ($document['reached'] ?? null) : null;

        return \is_array($reached) && \is_string($reached['email'] ?? null) ? $reached['email'] : '';
    }

    /** @param array<string, mixed> $with */
    private function shown(string $trouble = '', int $status = 200, array $with = []): Response
    {
        return $this->page->show(
            'check.html.twig',
            $this->face->show(),
            $with + ['verdict' => null, 'trouble' => $trouble, 'told' => '', 'record' => '', 'mail' => null, 'file' => null],
            $status,
        );
    }
}
