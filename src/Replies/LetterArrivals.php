<?php

declare(strict_types=1);

namespace Telamon\Replies;

use Doctrine\ORM\EntityManagerInterface;
use Telamon\Core\Form\Destination;
use Telamon\Files\Upload;
use Telamon\Forms\Form;
use Telamon\Forms\FormVersion;
use Telamon\Forms\Taken;
use Telamon\Submissions\Arriving;
use Telamon\Submissions\InvalidAnswers;
use Telamon\Submissions\Receiver;

/** A letter or a text that belongs nowhere is an arrival: its sender and its words are answers of the form that is used most. */
final readonly class LetterArrivals
{
    /** Letters that an answer takes. */
    public const LONGEST = 4000;

    public function __construct(private EntityManagerInterface $em, private Taken $taken, private Receiver $receiver)
    {
    }

    /**
     * @param list<array{Destination, string}> $values what is known of it
     * @param list<string> $uploads ids
     *
     * @return string|null id of the submission; null where there is no form that could take it
     */
    public function receive(array $values, array $uploads, Arriving $arriving): ?string
    {
        $version = $this->version();
        if (null === $version) {
            return null;
        }
        $form = $version->definition();
        $answers = [];
        foreach ($values as [$destination, $value]) {
            $question = $form->questionFor($destination);
            if (null !== $question && '' !== $value) {
                $answers[$question->key] = mb_substr($value, 0, self::LONGEST);
            }
        }
        $photographs = $form->questionFor(Destination::Files);
        if (null !== $photographs) {
            $fitting = array_values(array_filter(
                $uploads,
                fn (string $id): bool => 'any' === $photographs->fileKinds || str_starts_with($this->em->find(Upload::class, $id)->file->type ?? '', 'image/'),
            ));
            $answers += [] === $fitting ? [] : [$photographs->key => $fitting];
        }
        try {
            return $this->receiver->receive($version, $answers, $arriving)->id;
        } catch (InvalidAnswers $refused) {
            // What the form cannot take, such as a sender without an address, is left out: the words are what counts.
            $wrong = array_column($refused->violations(), 'path');
            $left = array_diff_key($answers, array_flip($wrong));

            return [] === $left ? null : $this->receiver->receive($version, $left, $arriving)->id;
        }
    }

    /** The form that is used most, of those that ask for an address and have room for a letter. */
    private function version(): ?FormVersion
    {
        $taken = $this->taken->byForm();
        $forms = $this->em->getRepository(Form::class)->findBy([], ['title' => 'ASC']);
        usort($forms, static fn (Form $a, Form $b): int => ($taken[$b->id] ?? 0) <=> ($taken[$a->id] ?? 0));
        foreach ($forms as $form) {
            $version = $form->published;
            if (
                null !== $version
                && null !== $version->definition()->questionFor(Destination::ClientEmail)
                && null !== $version->definition()->questionFor(Destination::ProjectNotes)
            ) {
                return $version;
            }
        }

        return null;
    }
}
