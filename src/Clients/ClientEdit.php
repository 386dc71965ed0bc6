<?php

declare(strict_types=1);

namespace Telamon\Clients;

use Telamon\Record\Edit;
use Telamon\Refusal\InvalidInput;

/** What somebody writes about a client by hand: as ClientEdit in the contract. */
final class ClientEdit extends Edit
{
    /**
     * @return array<int, array{id: string|null, was: string|null, kind: ContactKind, value: string, purpose: string|null, remove: bool}> by their place in what was sent
     *
     * @throws InvalidInput
     */
    public function contactPoints(): array
    {
        $points = [];
        $sent = $this->body['contactPoints'] ?? [];
        if (!\is_array($sent) || \count($sent) > 20) {
            throw new InvalidInput('contactPoints', 'Send at most 20.');
        }
        foreach (array_values($sent) as $i => $one) {
            $one = \is_array($one) ? $one : [];
            $kind = \is_string($one['kind'] ?? null) ? ContactKind::tryFrom($one['kind']) : null;
            $value = \is_string($one['value'] ?? null) ? trim($one['value']) : '';
            if (null === $kind) {
                throw new InvalidInput("contactPoints.$i.kind", 'Choose email or phone.');
            }
            $points[$i] = [
                'id' => \is_string($one['id'] ?? null) ? $one['id'] : null,
                'was' => \is_string($one['was'] ?? null) ? $one['was'] : null,
                'kind' => $kind,
                'value' => $value,
                'purpose' => \is_string($one['purpose'] ?? null) ? mb_substr(trim($one['purpose']), 0, 100) : null,
                'remove' => true === ($one['remove'] ?? false),
            ];
        }

        return $points;
    }
}
