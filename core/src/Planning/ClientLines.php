<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\LinkClient;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Effects\UseClient;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Form\Reading;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\FieldWords;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Reading\NameReader;
use Telamon\Core\Reading\PhoneReader;

/** The plan's lines about who this is. */
final readonly class ClientLines
{
    private const CHOICE = 'client';

    public function __construct(private ClientMatcher $matcher, private NameReader $names, private PhoneReader $phones)
    {
    }

    /** @param array<string, string> $decisions */
    public function lines(PlanInput $input, array $decisions): ClientOutcome
    {
        if ([] === $input->candidates) {
            return new ClientOutcome([$this->newClient($input, null)], null);
        }
        $choice = $this->choice($input->candidates, $decisions[self::CHOICE] ?? null);
        if ('new' === $choice->chosen) {
            return new ClientOutcome([$this->newClient($input, $choice, isset($decisions[self::CHOICE])), ...self::link($input->candidates)], null);
        }
        foreach ($input->candidates as $candidate) {
            if ($choice->chosen === (1 === \count($input->candidates) ? 'same' : $candidate->client->id)) {
                return new ClientOutcome([$this->sameClient($input, $candidate, $choice)], $candidate->client);
            }
        }

        return new ClientOutcome([$this->question($input, $choice)], null);
    }

    /** @param list<Candidate> $candidates */
    private function choice(array $candidates, ?string $decided): Choice
    {
        $sure = array_values(array_filter($candidates, static fn (Candidate $candidate): bool => Verdict::Same === $candidate->judgement->verdict));
        if (1 === \count($candidates)) {
            $default = match ($candidates[0]->judgement->verdict) {
                Verdict::Same => 'same',
                Verdict::Household => 'new',
                default => null,
            };

            return new Choice(self::CHOICE, $decided ?? $default, [
                ['value' => 'same', 'hotkey' => 'S', 'label' => 'Same'],
                ['value' => 'new', 'hotkey' => 'N', 'label' => 'New'],
            ]);
        }
        $options = [];
        foreach ($candidates as $i => $candidate) {
            $options[] = ['value' => $candidate->client->id, 'hotkey' => (string) ($i + 1), 'label' => "{$candidate->client->name}, since {$candidate->client->sinceYear}"];
        }
        $options[] = ['value' => 'new', 'hotkey' => 'N', 'label' => 'New'];
        $household = Verdict::Household === $candidates[0]->judgement->verdict ? 'new' : null;

        return new Choice(self::CHOICE, $decided ?? (1 === \count($sure) ? $sure[0]->client->id : $household), $options);
    }

    /** Who wrote is not sure: what speaks for the likeliest stands beside. */
    private function question(PlanInput $input, Choice $choice): PlanLine
    {
        $name = $input->readings->for(Destination::ClientName);
        $likeliest = $input->candidates[0];
        $parts = 1 === \count($input->candidates)
            ? [Part::words('Is '), Part::value($name->text ?? 'who wrote', $name?->question->number), Part::words(' '), Part::record('client', $likeliest->client->id, $likeliest->client->name), Part::words(", client since {$likeliest->client->sinceYear}?")]
            : [Part::words('Which client is '), Part::value($name->text ?? 'who wrote', $name?->question->number), Part::words('? '.\count($input->candidates).' on file may be')];

        return new PlanLine('client', 'Client', $parts, null, '', self::sureness($likeliest), $choice, $this->matcher->compare($input->readings, $likeliest));
    }

    private static function sureness(Candidate $candidate): string
    {
        return trim(FieldWords::percent($candidate->judgement->probability).' one person: '.FieldWords::agreeing($candidate->judgement), ': ');
    }

    /**
     * @param list<Candidate> $candidates
     *
     * @return list<PlanLine> a new client of a household that is known is linked to it
     */
    private static function link(array $candidates): array
    {
        if (!self::isHousehold($candidates)) {
            return [];
        }
        $other = $candidates[0]->client;

        return [new PlanLine('client.link', 'Client', [Part::words('Link the client to '), Part::record('client', $other->id, $other->name), Part::words(', the same household')], new LinkClient($other->id, 'household'))];
    }

    private function newClient(PlanInput $input, ?Choice $choice, bool $decided = false): PlanLine
    {
        $name = $input->readings->for(Destination::ClientName);
        $email = $input->readings->for(Destination::ClientEmail);
        $phone = $input->readings->for(Destination::ClientPhone);
        $place = self::address($input);
        $parts = [Part::words('Make a client of '), Part::value($name->text ?? 'nobody named', $name?->question->number)];
        if (null !== $email) {
            array_push($parts, Part::words(', '), Part::value($email->text, $email->question->number));
        }
        if (null !== $phone && '' !== $phone->string()) {
            array_push($parts, Part::words(', '), Part::value($this->phones->format($phone->string()), $phone->question->number));
        }
        if (null !== $place) {
            array_push($parts, Part::words(', at '), Part::value($place->text, $place->question->number));
        }
        [$given, $family] = $this->parts($name);

        if (self::isHousehold($input->candidates)) {
            $other = $input->candidates[0]->client;
            array_push($parts, Part::words(', of the same household as '), Part::record('client', $other->id, $other->name));
        }

        return new PlanLine('client', 'Client', $parts, new MakeClient($given, $family, $email?->string() ?? '', $phone?->string() ?? '', $place->text ?? ''), '', self::whyNew($input->candidates, $decided), $choice, self::isHousehold($input->candidates) ? $this->matcher->compare($input->readings, $input->candidates[0]) : []);
    }

    private function sameClient(PlanInput $input, Candidate $candidate, Choice $choice): PlanLine
    {
        $client = $candidate->client;

        return new PlanLine(
            'client',
            'Client',
            [Part::words('Same person as '), Part::record('client', $client->id, $client->name), Part::words(", client since {$client->sinceYear}")],
            new UseClient($client->id),
            '',
            Verdict::Same === $candidate->judgement->verdict ? self::sureness($candidate) : 'your choice',
            $choice,
            $this->matcher->compare($input->readings, $candidate),
        );
    }

    /** @param list<Candidate> $candidates */
    private static function isHousehold(array $candidates): bool
    {
        return Verdict::Household === ($candidates[0] ?? null)?->judgement->verdict;
    }

    /** @param list<Candidate> $candidates */
    private static function whyNew(array $candidates, bool $decided): string
    {
        return match (true) {
            $decided => 'your choice',
            self::isHousehold($candidates) => 'same household, another given name: '.FieldWords::agreeing($candidates[0]->judgement),
            default => 'nobody like this on file',
        };
    }

    /** Where they live or are: said as such, or else where the asset stands. */
    private static function address(PlanInput $input): ?Reading
    {
        return $input->readings->for(Destination::ClientAddress) ?? $input->readings->for(Destination::AssetPlace);
    }

    /** @return array{string, string} given and family name */
    private function parts(?Reading $name): array
    {
        if (null !== $name && \is_array($name->value) && 2 === \count($name->value)) {
            return [$name->value[0], $name->value[1]];
        }
        if (QuestionType::Organisation === $name?->question->type) {
            return ['', $name->text];
        }
        $person = $this->names->read($name->text ?? '');

        return [$person->given, $person->family];
    }
}
