<?php

declare(strict_types=1);

namespace Telamon\Messages;

/** By what a message goes. An entry says what it carries; a {@see Way} of the same channel hands it over. */
enum Channel: string
{
    #[Carries('a letter by mail', true, true, 'email')]
    case Mail = 'mail';

    #[Carries('a text message', false, false, 'tel')]
    case Text = 'text';

    public function carries(): Carries
    {
        static $entries = [];

        return $entries[$this->value] ??= (new \ReflectionEnumBackedCase(self::class, $this->name))->getAttributes(Carries::class)[0]->newInstance();
    }

    public function isLetter(): bool
    {
        return $this->carries()->isLetter;
    }

    public function takesFiles(): bool
    {
        return $this->carries()->takesFiles;
    }
}
