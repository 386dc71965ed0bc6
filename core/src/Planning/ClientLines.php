<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Effects\LinkClient;
use Telamon\Core\Effects\MakeClient;
use Telamon\Core\Effects\TellApart;
use Telamon\Core\Effects\UseClient;
use Telamon\Core\Form\Destination;
use Telamon\Core\Form\Kinds\Organisation;
use Telamon\Core\Form\Reading;
use Telamon\Core\Matching\Candidate;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\FieldWords;
use Telamon\Core\Matching\Verdict;
use Telamon\Core\Plan\Choice;
use Telamon\Core\Plan\Part;
use Telamon\Core\Plan\PlanLine;
use Telamon\Core\Plan\Sources;
use Telamon\Core\Reading\NameReader;

/** The plan's lines about who this is. */
final readonly class ClientLines
{
    private const CHOICE = 'client';
    private const UNRELATED = 'unrelated';

    public function __construct(private ClientMatcher $matcher, private NameReader $names)
    {
    }

    /** @param array<string, string> $decisions */
    public function lines(PlanContext $now, array $decisions): ClientOutcome
    {
        if ([] === $now->onFile->candidates) {
            return new ClientOutcome([$this->newClient($now, null)], null);
        }
        $choice = $this->choice($now->onFile->candidates, $decisions[self::CHOICE] ?? null);
        if ('new' === $choice->chosen) {
            return new ClientOutcome(
                [$this->newClient($now, $choice, isset($decisions[self::CHOICE])), ...self::link($now), ...self::apart($now, isset($decisions[self::CHOICE]))],
                null,
            );
        }
        if (self::UNRELATED === $choice->chosen) {
            return new ClientOutcome([$this->newClient($now, $choice, true), ...self::apart($now, true, true)], null);
        }
        foreach ($now->onFile->candidates as $candidate) {
            if ($choice->chosen === (1 === \count($now->onFile->candidates) ? 'same' : $candidate->client->id)) {
                return new ClientOutcome([$this->sameClient($now, $candidate, $choice)], $candidate->client);
            }
        }

        return new ClientOutcome([$this->question($now, $choice)], null);
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
                ...self::asNew($candidates),
            ]);
        }
        $options = [];
        foreach ($candidates as $i => $candidate) {
            $options[] = ['value' => $candidate->client->id, 'hotkey' => (string) ($i + 1), 'label' => "{$candidate->client->name}, since {$candidate->client->sinceYear}"];
        }
        array_push($options, ...self::asNew($candidates));
        $household = Verdict::Household === $candidates[0]->judgement->verdict ? 'new' : null;

        return new Choice(self::CHOICE, $decided ?? (1 === \count($sure) ? $sure[0]->client->id : $household), $options);
    }

    /**
     * @param list<Candidate> $candidates
     *
     * @return list<array{value: string, hotkey: string, label: string}> a household is linked, unless somebody says that it is none
     */
    private static function asNew(array $candidates): array
    {
        return self::isHousehold($candidates)
            ? [['value' => 'new', 'hotkey' => 'N', 'label' => 'New, same household'], ['value' => self::UNRELATED, 'hotkey' => 'W', 'label' => 'New, no relation']]
            : [['value' => 'new', 'hotkey' => 'N', 'label' => 'New']];
    }

    /** Who wrote is not sure: what speaks for the likeliest stands beside. */
    private function question(PlanContext $now, Choice $choice): PlanLine
    {
        $name = $now->inquiry->readings->for(Destination::ClientName);
        $likeliest = $now->onFile->candidates[0];
        $who = Part::value($name->text ?? 'who wrote', $name?->question->number);
        $record = $now->telling->record('client', $likeliest->client->id);
        $line = 1 === \count($now->onFile->candidates)
            ? PlanLine::telling(
                'client',
                'Client',
                'Is ',
                $who,
                ' the same person as ',
                $record,
                str_replace(', client', ', a client', $now->telling->more('client', $likeliest->client->id)).'?',
            )
            : PlanLine::telling('client', 'Client', 'Which client is ', $who, '? '.\count($now->onFile->candidates).' on file may be');

        return $line->because(self::sureness($likeliest))->offering($choice)->comparing($this->matcher->compare($now->inquiry->readings, $likeliest));
    }

    private static function sureness(Candidate $candidate): string
    {
        return trim(FieldWords::percent($candidate->judgement->probability).' one person: '.FieldWords::agreeing($candidate->judgement), ': ');
    }

    /** @return list<PlanLine> a new client of a household that is known is linked to it */
    private static function link(PlanContext $now): array
    {
        return self::isHousehold($now->onFile->candidates)
            ? [PlanLine::of('client.link', 'Client', new LinkClient($now->onFile->candidates[0]->client->id, 'household'), $now->telling)]
            : [];
    }

    /** @return list<PlanLine> somebody said that it is none of those who might be meant: nobody is asked again */
    private static function apart(PlanContext $now, bool $decided, bool $household = false): array
    {
        $others = array_filter(
            $now->onFile->candidates,
            static fn (Candidate $candidate): bool => \in_array(
                $candidate->judgement->verdict,
                [Verdict::Same, Verdict::Perhaps, ...($household ? [Verdict::Household] : [])],
                true,
            ),
        );
        if (!$decided || [] === $others) {
            return [];
        }
        $ids = array_values(array_map(static fn (Candidate $candidate): string => $candidate->client->id, $others));

        return [PlanLine::of('client.apart', 'Client', new TellApart($ids), $now->telling)->because('your choice')];
    }

    private function newClient(PlanContext $now, ?Choice $choice, bool $decided = false): PlanLine
    {
        $name = $now->inquiry->readings->for(Destination::ClientName);
        $email = $now->inquiry->readings->for(Destination::ClientEmail);
        $phone = $now->inquiry->readings->for(Destination::ClientPhone);
        $place = $now->inquiry->readings->for(Destination::ClientAddress);
        [$given, $family] = $this->parts($name);
        $effect = new MakeClient($given, $family, $email?->string() ?? '', $phone?->string() ?? '', $place->text ?? '');

        return PlanLine::of(
            'client',
            'Client',
            $effect,
            $now->telling,
            Sources::of(['given' => $name, 'family' => $name, 'email' => $email, 'phone' => $phone, 'address' => $place]),
        )
            ->because(self::whyNew($now->onFile->candidates, $decided))->offering($choice)
            ->comparing(self::isHousehold($now->onFile->candidates) ? $this->matcher->compare($now->inquiry->readings, $now->onFile->candidates[0]) : []);
    }

    private function sameClient(PlanContext $now, Candidate $candidate, Choice $choice): PlanLine
    {
        return PlanLine::of('client', 'Client', new UseClient($candidate->client->id), $now->telling)
            ->because(Verdict::Same === $candidate->judgement->verdict ? self::sureness($candidate) : 'your choice')
            ->offering($choice)->comparing($this->matcher->compare($now->inquiry->readings, $candidate));
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

    /** @return array{string, string} given and family name */
    private function parts(?Reading $name): array
    {
        if (null !== $name && \is_array($name->value) && 2 === \count($name->value)) {
            return [$name->value[0], $name->value[1]];
        }
        if ($name?->question->type instanceof Organisation) {
            return ['', $name->text];
        }
        $person = $this->names->read($name->text ?? '');

        return [$person->given, $person->family];
    }
}
