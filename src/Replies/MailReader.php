<?php

declare(strict_types=1);

namespace Telamon\Replies;

use ZBateson\MailMimeParser\Header\AddressHeader;
use ZBateson\MailMimeParser\IMessage;
use ZBateson\MailMimeParser\MailMimeParser;
use ZBateson\MailMimeParser\Message\IMessagePart;
use ZBateson\MailMimeParser\Message\IMimePart;

/** Reads a mail out of its bytes (RFC 5322, RFC 2045), however nested or broken: what cannot be read is left out. */
final class MailReader
{
    private const LONGEST_TEXT = 200_000;
    private const MOST_ATTACHMENTS = 20;
    /** Letters under which a text part may be a stub. */
    private const STUB = 200;
    private const LARGEST = 10 * 1024 * 1024;

    public function read(string $eml): ReceivedMail
    {
        // A mail may name an encoding that there is none of; the parser says so aloud, and reads on.
        set_error_handler(static fn (): bool => true, \E_WARNING | \E_NOTICE | \E_DEPRECATED);
        try {
            return $this->readQuietly($eml);
        } finally {
            restore_error_handler();
        }
    }

    private function readQuietly(string $eml): ReceivedMail
    {
        $mail = (new MailMimeParser())->parse($eml, true);
        $from = $mail->getHeader('From');
        [$address, $name] = $from instanceof AddressHeader ? [self::said($from->getEmail()), self::said($from->getPersonName())] : ['', ''];
        $own = self::ids((string) $mail->getHeaderValue('Message-ID'));

        return new ReceivedMail(
            mb_substr($own[0] ?? 'none.'.hash('sha256', $eml), 0, 250),
            array_values(array_unique([...self::ids($this->raw($mail, 'In-Reply-To')), ...array_reverse(self::ids($this->raw($mail, 'References')))])),
            mb_substr(mb_strtolower(self::utf8($address)), 0, 254),
            self::line($name, 200),
            $this->recipients($mail),
            self::line((string) $mail->getHeaderValue('Subject'), 300),
            $this->text($mail),
            $this->headers($mail),
            $this->attachments($mail),
            $this->report($mail),
            $this->reported($mail),
        );
    }

    /** The parser's own notes on what it may return are not always right. */
    private static function said(mixed $value): string
    {
        return \is_string($value) ? $value : '';
    }

    /** @return list<string> without their brackets */
    private static function ids(string $value): array
    {
        preg_match_all('/<?([^\s<>,]+@[^\s<>,]+)>?/', $value, $found);

        return array_map(static fn (string $id): string => mb_substr($id, 0, 250), $found[1]);
    }

    private function raw(IMessage $mail, string $name): string
    {
        return (string) $mail->getHeader($name)?->getRawValue();
    }

    /** @return list<string> in small letters */
    private function recipients(IMessage $mail): array
    {
        $to = [];
        foreach (['To', 'Cc', 'Delivered-To', 'X-Original-To'] as $name) {
            preg_match_all('/[^\s<>,;:"]+@[^\s<>,;:"]+/', $this->raw($mail, $name), $found);
            array_push($to, ...array_map(strtolower(...), $found[0]));
        }

        return array_values(array_unique($to));
    }

    private function text(IMessage $mail): string
    {
        $text = $this->decoded($mail->getTextPart());
        $page = HtmlText::of($this->decoded($mail->getHtmlPart()));
        // Some programs put a stub ("your program cannot show this") where the same in plain text belongs.
        $isStub = mb_strlen(trim($text)) < self::STUB && mb_strlen(trim($page)) > 3 * mb_strlen(trim($text));

        return mb_substr(str_replace(["\r\n", "\r"], "\n", $isStub ? $page : $text), 0, self::LONGEST_TEXT);
    }

    /** A part as UTF-8. Bytes of windows-1252 stand under many labels; browsers read Latin-1 and ASCII as it too (WHATWG Encoding Standard, 4.2). */
    private function decoded(?IMessagePart $part): string
    {
        if (null === $part) {
            return '';
        }
        $label = strtolower((string) $part->getCharset());
        $bytes = \in_array($label, ['', 'us-ascii', 'ascii', 'utf-8', 'utf8', 'iso-8859-1', 'latin1', 'windows-1252'], true)
            ? (string) $part->getBinaryContentStream()?->getContents()
            : null;
        if (null === $bytes) {
            return self::utf8((string) $part->getContent());
        }
        $isUtf8 = mb_check_encoding($bytes, 'UTF-8') && (!\in_array($label, ['iso-8859-1', 'latin1', 'windows-1252'], true) || 1 !== preg_match('/[\x80-\xff]/', $bytes));

        return self::utf8($isUtf8 ? $bytes : mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252'));
    }

    /** @return array<string, string> */
    private function headers(IMessage $mail): array
    {
        $headers = [];
        foreach ([
            'From',
            'Subject',
            'Auto-Submitted',
            'Precedence',
            'List-Id',
            'Return-Path',
            'X-Auto-Response-Suppress',
            'X-Autoreply',
            'X-Autorespond',
            'Content-Type',
            'Authentication-Results',
        ] as $name) {
            $header = $mail->getHeader($name);
            if (null !== $header) {
                $headers[strtolower($name)] = self::utf8('Subject' === $name ? self::said($header->getValue()) : $header->getRawValue());
            }
        }

        return $headers;
    }

    /** @return list<array{name: string, type: string, bytes: string, why: string}> with why it is not taken; empty where it may be */
    private function attachments(IMessage $mail): array
    {
        $found = [];
        foreach ($mail->getAllAttachmentParts() as $part) {
            $bytes = (string) $part->getContent();
            if ('' === $bytes || \in_array($part->getContentType(), ['message/delivery-status', 'text/rfc822-headers'], true)) {
                continue;
            }
            $why = match (true) {
                \strlen($bytes) > self::LARGEST => 'larger than '.intdiv(self::LARGEST, 1024 * 1024).' MB',
                \count($found) >= self::MOST_ATTACHMENTS => 'more than '.self::MOST_ATTACHMENTS.' files came with the letter',
                default => '',
            };
            $found[] = ['name' => self::line($part->getFilename() ?? '', 200), 'type' => $part->getContentType(), 'bytes' => $bytes, 'why' => $why];
        }

        return $found;
    }

    private function report(IMessage $mail): string
    {
        return self::utf8((string) $this->part($mail, 'message/delivery-status')?->getContent());
    }

    private function reported(IMessage $mail): string
    {
        $part = $this->part($mail, 'message/rfc822') ?? $this->part($mail, 'text/rfc822-headers');
        $head = null === $part ? '' : (string) $part->getContent();

        return 1 === preg_match('/^Message-ID:\s*<?([^\s<>]+)>?/mi', $head, $m) ? $m[1] : '';
    }

    private function part(IMimePart $mail, string $type): ?IMessagePart
    {
        foreach ($mail->getAllParts() as $part) {
            if (strtolower($part->getContentType()) === $type) {
                return $part;
            }
        }

        return null;
    }

    private static function utf8(string $text): string
    {
        return mb_scrub(str_replace("\0", '', $text), 'UTF-8');
    }

    private static function line(string $text, int $most): string
    {
        return mb_substr(trim((string) preg_replace('/[\s\p{Cc}]+/u', ' ', self::utf8($text))), 0, $most);
    }
}
