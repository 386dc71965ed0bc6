<?php

declare(strict_types=1);

namespace Telamon\Core\Planning;

use Telamon\Core\Form\Destination;

/** The plan's lines about who is told. What was sent before is not sent again. */
final readonly class MessageLines
{
    public const CONFIRMATION = 'confirmation';
    public const NOTICE = 'notice';

    /** @return list<PlanLine> */
    public function lines(PlanInput $input): array
    {
        $lines = [];
        $email = $input->readings->for(Destination::ClientEmail);
        if (null !== $email && '' !== $email->string()) {
            $name = $input->readings->for(Destination::ClientName)->text ?? '';
            $lines[] = $this->line($input, self::CONFIRMATION, 'Send “'.($input->templates[self::CONFIRMATION] ?? '').'” to ', $email->string(), $name, $email->question->number, 'Confirm every inquiry');
        }
        $service = $input->services[$input->readings->for(Destination::ProjectService)?->string() ?? ''] ?? null;
        $lead = $input->outcome->lead() ?? $service->lead ?? $input->coordinator;
        $lines[] = $this->line($input, self::NOTICE, 'Tell '.$lead->name.' at ', $lead->email, $lead->name, null, 'Tell whoever leads');

        return $lines;
    }

    private function line(PlanInput $input, string $template, string $words, string $to, string $name, ?int $answer, string $reason): PlanLine
    {
        $sent = $input->alreadySent[$template] ?? null;
        if (null !== $sent) {
            $day = DayWords::short(new \DateTimeImmutable($sent), $input->today);

            return new PlanLine("message.$template", 'Messages', [Part::words('Already sent to '), Part::value($to, $answer), Part::words(" on $day, not sent again")], null, '', 'Nothing goes out twice');
        }

        return new PlanLine("message.$template", 'Messages', [Part::words($words), Part::value($to, $answer)], new Effect(EffectKind::QueueMessage, [
            'template' => $template, 'to' => $to, 'to_name' => $name,
        ]), '', $reason);
    }
}
