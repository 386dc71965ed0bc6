<?php

declare(strict_types=1);

namespace Telamon\Submissions;

use Doctrine\ORM\EntityManagerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;
use Telamon\Business\Profile;
use Telamon\Clients\Client;
use Telamon\Core\Form\Carrying;
use Telamon\Core\Form\Ending;
use Telamon\Core\Form\EndingKind;
use Telamon\Core\Form\FormDefinition;
use Telamon\Core\Text\TemplateRenderer;
use Telamon\Core\Text\UnreadableTemplate;
use Telamon\Forms\FormVersion;
use Telamon\Forms\PublishedForms;
use Telamon\Http\IdempotencyKey;
use Telamon\Http\JsonBody;
use Telamon\Http\Problem;
use Telamon\Http\ProofOfWork;
use Telamon\Http\PublicLimits;
use Telamon\Http\SignedText;

final readonly class PublicSubmissionController
{
    private const CONTINUES = 'continues';
    private const MAX_BYTES = 262_144;

    public function __construct(
        private EntityManagerInterface $em,
        private PublishedForms $forms,
        private Receiver $receiver,
        private Origins $origins,
        private PublicLimits $limits,
        private ProofOfWork $proof,
        private SignedText $signed,
        private TemplateRenderer $renderer,
        private Profile $business,
        private BookingBegun $booking,
        private FormLinks $links,
        #[Autowire(env: 'int:TELAMON_LEAST_SECONDS')] private int $leastSeconds,
    ) {
    }

    #[Route('/api/public/forms/{slug}/submissions', methods: ['POST'])]
    public function create(string $slug, Request $request): Response
    {
        $this->limits->submission($request);
        if (\strlen($request->getContent()) > self::MAX_BYTES) {
            throw new Problem(413, 'Too large', 'All answers together are longer than is taken at once. Shorten them, or send a part as a file.');
        }
        $body = JsonBody::read($request);
        $number = $body['version'] ?? null;
        if (null !== $number && !\is_int($number)) {
            throw Problem::invalid('version', 'Send the number of the version that was filled in.');
        }
        $version = $this->forms->get($slug, $number);
        $answers = $body['answers'] ?? null;
        if (!\is_array($answers)) {
            throw Problem::invalid('answers', 'Send the answers by question key.');
        }
        [$answers, $known, $client] = $this->knowing($version, $answers, JsonBody::text($body, 'personal', 300));
        $answers = self::withUploads($version, $answers, $body['uploads'] ?? []);
        $key = IdempotencyKey::of($request);
        $submission = $this->receiver->receive($version, $answers, new Arriving(
            'embed' === JsonBody::text($body, 'channel', 20) ? 'embed' : 'page',
            $key,
            $this->suspicion($body, $key ?? ''),
            $this->origins->of($request, $body),
            $this->continued($body),
            sent: $known,
            bookingPage: JsonBody::text($body, 'booking', 60),
        ));

        $form = $version->definition();
        $ending = $this->booking->ending(
            $form->ending($submission->answers, $submission->receivedAt->setTimezone($this->business->zone())->format('Y-m-d')),
            $version,
            JsonBody::text($body, 'booking', 60),
        );

        $booking = EndingKind::Booking === $ending?->kind ? $this->mayBook($submission) : null;

        return new JsonResponse([
            'reference' => $submission->number,
            'continues' => EndingKind::Form === $ending?->kind ? $this->signed->sign(self::CONTINUES, $submission->id, 7 * 86_400) : '',
            'message' => $this->thanks(EndingKind::Thanks === $ending?->kind ? $ending->text : $form->thanks, self::told($form, $submission)),
            'carried' => (object) $this->carried($ending, $form, array_diff_key($submission->answers, $known)),
            'next' => null === $ending || EndingKind::Thanks === $ending->kind || (EndingKind::Booking === $ending->kind && null === $booking)
                ? null
                : [
                    'kind' => $ending->kind->value,
                    'to' => EndingKind::Booking === $ending->kind ? $this->booking->address($ending, $booking) : $ending->text,
                    // Whoever was not asked who they are is not asked by the next form either.
                    'for' => null !== $client && EndingKind::Form === $ending->kind ? $this->links->token($ending->text, $client) : '',
                ],
        ], 201);
    }

    /**
     * With who they are put in by us, where the link says it: that never was in the browser, and what the browser says of it
     * does not count.
     *
     * @param array<array-key, mixed> $answers
     *
     * @return array{array<array-key, mixed>, array<string, mixed>, Client|null} the answers, of them what stood there beforehand, and whose link it is
     */
    private function knowing(FormVersion $version, array $answers, string $token): array
    {
        if ('' === $token) {
            return [$answers, [], null];
        }
        $client = $this->links->client($token, $version->form->slug);
        $known = $this->links->answers($version->definition(), $client);

        return [array_replace($answers, $known), $known, $client];
    }

    /** Which submission times are chosen for: the same that came before goes on where it stopped; what looks machine-made chooses none. */
    private function mayBook(Submission $submission): ?Submission
    {
        return match (true) {
            SubmissionState::SetAside !== $submission->state => $submission,
            'duplicate' === $submission->asideReason => $submission->sameAs,
            default => null,
        };
    }

    /**
     * @param array<string, mixed> $answers those that came from the browser
     *
     * @return array<string, mixed> what the next form asks too, by its question keys
     */
    private function carried(?Ending $ending, FormDefinition $form, array $answers): array
    {
        $next = EndingKind::Form === $ending?->kind ? $this->forms->find($ending->text)?->published : null;

        return null === $next ? [] : Carrying::between($form, $answers, $next->definition());
    }

    /**
     * Whatever the text is like: the submission is on file, and its sender has to learn that.
     *
     * @param array<string, string> $fields
     */
    private function thanks(string $text, array $fields): string
    {
        try {
            return $this->renderer->body($text, $fields);
        } catch (UnreadableTemplate) {
            return "Thank you. Your number is {$fields['reference']}.";
        }
    }

    /** @return array<string, string> what thanks may name: the number, who wrote, and every answer by its key */
    private static function told(FormDefinition $form, Submission $submission): array
    {
        $fields = [];
        foreach ($form->questions() as $question) {
            $fields[$question->key] = $question->staffOnly ? '' : $question->type->text($question, $submission->answers[$question->key] ?? '');
        }

        return ['reference' => $submission->number, 'name' => $submission->name] + $fields;
    }

    /**
     * What makes a submission look as if no person had filled it in, in words; null where nothing does.
     *
     * @param array<array-key, mixed> $body
     */
    private function suspicion(array $body, string $key): ?string
    {
        $seconds = $body['seconds'] ?? null;

        return match (true) {
            '' !== trim(JsonBody::text($body, 'unseen', 4000)) => 'Looks machine-made: a field was filled in that no person sees.',
            \is_int($seconds) && $seconds < $this->leastSeconds => 'Looks machine-made: it was filled in faster than anybody reads.',
            !$this->proof->holds($body['proof'] ?? null, $key) => 'Looks machine-made: it came without the small piece of work that browsers do.',
            default => null,
        };
    }

    /**
     * The short form that this one carries on, where its receipt came along.
     *
     * @param array<array-key, mixed> $body
     */
    private function continued(array $body): ?Submission
    {
        $id = $this->signed->read(self::CONTINUES, JsonBody::text($body, 'continues', 200));

        return null === $id ? null : $this->em->find(Submission::class, $id);
    }

    /**
     * Uploads named beside the answers go to the form's first question for files.
     *
     * @param array<array-key, mixed> $answers
     *
     * @return array<array-key, mixed>
     */
    private static function withUploads(FormVersion $version, array $answers, mixed $uploads): array
    {
        if ([] === $uploads || null === $uploads) {
            return $answers;
        }
        if (!\is_array($uploads)) {
            throw Problem::invalid('uploads', 'Send a list of upload ids.');
        }
        foreach ($version->definition()->questions() as $question) {
            if ($question->type->isFiles()) {
                $given = $answers[$question->key] ?? [];
                $answers[$question->key] = array_values(array_unique([...(\is_array($given) ? $given : []), ...$uploads], \SORT_REGULAR));

                return $answers;
            }
        }
        throw Problem::invalid('uploads', 'This form takes no files.');
    }
}
