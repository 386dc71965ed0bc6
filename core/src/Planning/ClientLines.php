<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\Destination;
use Telamon\Core\Form\QuestionType;
use Telamon\Core\Matching\ClientMatcher;
use Telamon\Core\Matching\KnownClient;
use Telamon\Core\Reading\NameReader;
use Telamon\Core\Reading\PhoneReader;
use Telamon\Core\Reading\Reading;

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
            return new ClientOutcome([$this->newClient($input, $choice)], null);
        }
        if (1 === \count($input->candidates)) {
            return new ClientOutcome([$this->sameClient($input, $input->candidates[0], $choice)], $input->candidates[0]);
        }
        foreach ($input->candidates as $candidate) {
            if ($candidate->id === $choice->chosen) {
                return new ClientOutcome([$this->sameClient($input, $candidate, $choice)], $candidate);
            }
        }
        $email = $input->readings->for(Destination::ClientEmail);
        $question = [Part::words('Which client wrote? '), Part::value($email->text ?? '', $email?->question->number), Part::words(' is on file for '.\count($input->candidates))];

        return new ClientOutcome([new PlanLine('client', 'Client', $question, null, '', 'one address, several clients', $choice)], null);
    }

    /** @param list<KnownClient> $candidates */
    private function choice(array $candidates, ?string $decided): Choice
    {
        if (1 === \count($candidates)) {
            return new Choice(self::CHOICE, $decided ?? 'same', [
                ['value' => 'same', 'hotkey' => 'S', 'label' => 'Same'],
                ['value' => 'new', 'hotkey' => 'N', 'label' => 'New'],
            ]);
        }
        $options = [];
        foreach ($candidates as $i => $candidate) {
            $options[] = ['value' => $candidate->id, 'hotkey' => (string) ($i + 1), 'label' => "{$candidate->name}, since {$candidate->sinceYear}"];
        }
        $options[] = ['value' => 'new', 'hotkey' => 'N', 'label' => 'New'];

        return new Choice(self::CHOICE, $decided, $options);
    }

    private function newClient(PlanInput $input, ?Choice $choice): PlanLine
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

        return new PlanLine('client', 'Client', $parts, new Effect(EffectKind::CreateClient, [
            'given' => $given,
            'family' => $family,
            'email' => $email?->string() ?? '',
            'phone' => $phone?->string() ?? '',
            'address' => $place->text ?? '',
        ]), '', null === $choice ? 'nobody on file with this address' : 'your choice', $choice);
    }

    private function sameClient(PlanInput $input, KnownClient $client, Choice $choice): PlanLine
    {
        $phone = $input->readings->for(Destination::ClientPhone)?->string() ?? '';
        $place = self::address($input);

        return new PlanLine(
            'client',
            'Client',
            [Part::words('Same person as '), Part::record('client', $client->id, $client->name), Part::words(", client since {$client->sinceYear}")],
            new Effect(EffectKind::UseClient, [
                'id' => $client->id,
                'phone' => \in_array($phone, $client->phones, true) ? '' : $phone,
                'address' => '' === $client->address ? ($place->text ?? '') : '',
            ]),
            '',
            'same mail address',
            $choice,
            $this->matcher->compare($input->readings, $client),
        );
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
