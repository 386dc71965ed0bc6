<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Telamon\Business\Profile;
use Telamon\Core\Form\Kinds\Signature;
use Telamon\Core\Form\Question;
use Telamon\Files\Attachment;
use Telamon\Files\AttachmentShelf;
use Telamon\Files\SmallPicture;

/** A submission as received, as a PDF file with its photographs and signature. */
final readonly class SubmissionPdf
{
    public function __construct(
        private PdfMaker $pdf,
        private AttachmentShelf $shelf,
        private SmallPicture $pictures,
        private Profile $business,
    ) {
    }

    /** @return string the bytes of the file */
    public function of(Submission $submission): string
    {
        $files = [];
        foreach ($this->shelf->of($submission->id) as $attachment) {
            $files[$attachment->questionKey][] = $attachment;
        }

        return $this->pdf->make('submission.html.twig', [
            'number' => $submission->number,
            'name' => $submission->name,
            'form' => $submission->formVersion->definition()->title,
            'version' => $submission->formVersion->number,
            'business' => $this->business->business()->name,
            'received' => $submission->receivedAt->setTimezone($this->business->zone())->format('D j F Y, H:i'),
            'page' => $submission->origin->page,
            'campaign' => $submission->origin->campaign,
            'answers' => $this->answers($submission, $files),
            'signed' => $this->evidence($submission),
        ]);
    }

    /**
     * How it was signed, as far as is known; null where nothing in it is a signature.
     *
     * @return array<string, mixed>|null for evidence.html.twig
     */
    private function evidence(Submission $submission): ?array
    {
        $signed = [];
        foreach ($submission->formVersion->definition()->questions() as $question) {
            $text = $question->type instanceof Signature ? $question->type->text($question, $submission->answers[$question->key] ?? '') : '';
            if ('' !== $text) {
                $signed[] = "Question {$question->number}: $text";
            }
        }
        if ([] === $signed) {
            return null;
        }
        $form = $submission->formVersion->definition()->title.', version '.$submission->formVersion->number;

        return [
            'done' => 'sent', 'name' => $submission->name, 'how' => implode('. ', $signed), 'drawing' => '',
            'at' => $submission->receivedAt->setTimezone($this->business->zone())
                ->format('l j F Y, H:i:s T').' ('.$submission->receivedAt
                ->setTimezone(new \DateTimeZone('UTC'))
                ->format('Y-m-d\TH:i:s\Z').')',
            'address' => $submission->origin->networkAddress, 'reached' => "the form $form", 'digest' => '' === $submission->digest ? [] : str_split($submission->digest, 16),
            'of' => 'the answers as they came, as JSON with the questions’ keys in order',
        ];
    }

    /**
     * @param array<string, list<Attachment>> $files by question key
     *
     * @return list<array{number: int, wording: string, text: string, signature: bool, pictures: list<string>, names: list<string>}>
     */
    private function answers(Submission $submission, array $files): array
    {
        $asked = array_filter($submission->formVersion->definition()->questions(), static fn (Question $question): bool => $question->type->asks());

        return array_values(array_map(function (Question $question) use ($submission, $files): array {
            $pictures = [];
            $names = [];
            foreach ($files[$question->key] ?? [] as $attachment) {
                $picture = $this->pictures->of($attachment->file);
                if (null !== $picture) {
                    $pictures[] = $picture;
                }
                if (null === $picture || !$question->type instanceof Signature) {
                    $names[] = $attachment->name;
                }
            }
            $text = $question->type->text($question, $question->type->isFiles() ? '' : ($submission->answers[$question->key] ?? ''));

            return [
                'number' => $question->number,
                'wording' => $question->wording,
                'text' => '' === $text && [] === $names && [] === $pictures ? '–' : $text,
                'signature' => $question->type instanceof Signature && '' !== $text,
                'pictures' => $pictures,
                'names' => $names,
            ];
        }, $asked));
    }
}
