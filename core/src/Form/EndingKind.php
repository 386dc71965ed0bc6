<?php

declare(strict_types=1);

namespace Telamon\Core\Form;

/** What a form ends with: a text, another address, or another form that carries on. */
enum EndingKind: string
{
    case Thanks = 'thanks';
    case Address = 'address';
    case Form = 'form';
    /** A booking page: its ending, and after strokes the type, the minutes and the initials that are chosen already. */
    case Booking = 'booking';
}
