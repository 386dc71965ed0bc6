<?php

declare(strict_types=1);

namespace Telamon\Core\Tests\Evidence;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Telamon\Core\Evidence\CanonicalJson;
use Telamon\Core\Evidence\Checker;
use Telamon\Core\Evidence\EvidenceRecord;
use Telamon\Core\Evidence\NotCanonical;
use Telamon\Core\Evidence\SealedPdf;
use Telamon\Core\Evidence\SigningKey;

final class CheckerTest extends TestCase
{
    private const AGREED = [
        'number' => 'Q-0092',
        'revision' => 1,
        'at' => '2026-12-01T10:20:30Z',
        'client' => ['name' => 'Orla Fennick'],
        'totals' => ['total' => '272.40'],
        'signedBy' => 'Orla Fennick',
    ];
    private const ALL = ['document', 'drawing', 'file', 'key'];

    public function testAllHoldsOfWhatWasSigned(): void
    {
        foreach ([self::record(), self::pdf()] as $bytes) {
            self::assertSame(
                ['signed' => true, 'number' => 'Q-0092', 'revision' => 1, 'signed_at' => '2026-12-01T10:20:30Z', 'holds' => self::ALL, 'fails' => []],
                self::check($bytes),
            );
        }
        self::assertSame(self::ALL, self::check(EvidenceRecord::close(self::AGREED, '', self::key()))['holds'], 'a typed name has no drawing, and that holds');
    }

    public function testTheRecordIsOneFileByteForByte(): void
    {
        $record = self::record();
        self::assertSame($record, CanonicalJson::write(CanonicalJson::read($record)));
        self::assertSame(self::record(), $record, 'the same is signed the same (RFC 8032 needs no chance)');
        self::assertSame(hash('sha256', self::png()), self::parts($record)['document']['drawing'] ?? null, 'the drawing is part of what was agreed');
        self::assertSame($record, SealedPdf::record(self::pdf()));
        self::assertSame($record, (new Checker(self::key()))->record(self::pdf()));
        self::assertSame($record, (new Checker(self::key()))->record($record));
    }

    /**
     * @param list<string> $fails
     */
    #[DataProvider('changed')]
    public function testWhatWasChangedSinceFails(string $bytes, array $fails): void
    {
        $said = self::check($bytes);
        self::assertTrue($said['signed']);
        self::assertSame($fails, $said['fails']);
        self::assertSame(array_values(array_diff(self::ALL, $fails)), $said['holds']);
    }

    /** @return iterable<string, array{string, list<string>}> */
    public static function changed(): iterable
    {
        $record = self::record();
        yield 'another sum' => [str_replace('272.40', '27.40', $record), ['document', 'file']];
        yield 'another number' => [str_replace('Q-0092', 'Q-0093', $record), ['document', 'file']];
        yield 'white space' => [$record."\n", ['file']];
        yield 'a key said twice' => [substr($record, 0, -1).',"seal":'.json_encode(self::parts($record)['seal']).'}', ['file']];
        yield 'something more beside it' => [CanonicalJson::write(self::parts($record) + ['drawing' => self::drawing(), 'more' => 1]), ['file']];
        $other = 'data:image/png;base64,'.base64_encode(self::png(9));
        yield 'another drawing' => [str_replace(self::drawing(), $other, $record), ['drawing', 'file']];
        yield 'no drawing' => [str_replace(self::drawing(), '', $record), ['drawing', 'file']];
        yield 'a seal of somebody else for something else' => [str_replace(substr($record, -30), substr(EvidenceRecord::close([], '', self::key()), -30), $record), self::ALL];
        yield 'another installation' => [EvidenceRecord::close(self::AGREED, self::drawing(), SigningKey::of('another')), ['key']];
        yield 'another installation that says it is this one' => [
            str_replace(SigningKey::of('another')->public, self::key()->public, EvidenceRecord::close(self::AGREED, self::drawing(), SigningKey::of('another'))),
            self::ALL,
        ];
        yield 'a file of another installation' => [self::pdf(key: SigningKey::of('another')), ['key']];
        yield 'a page of the file' => [str_replace('(Total 272.40)', '(Total 072.40)', self::pdf()), ['file']];
        yield 'a record of another in our file' => [
            SealedPdf::close(self::embedded(EvidenceRecord::close(self::AGREED, self::drawing(), SigningKey::of('another'))), self::key()),
            ['key'],
        ];
        yield 'our record in a file of another' => [self::pdf(key: SigningKey::of('another'), record: $record), ['key']];
        yield 'a file that was saved anew' => [self::embedded($record), ['file']];
        yield 'something after the end' => [self::pdf()."\n", ['file']];
        yield 'a file whose record is gone' => [str_replace('/EmbeddedFile', '/EmbeddedXile', self::pdf()), ['document', 'drawing', 'file']];
    }

    /** A byte anywhere, each way that it can break: never all holds, and never is it said that nothing was signed. */
    public function testEveryByteCounts(): void
    {
        foreach ([self::record(), self::pdf()] as $bytes) {
            for ($i = 0; $i < \strlen($bytes); ++$i) {
                foreach ([\chr(\ord($bytes[$i]) ^ 1), \chr(\ord($bytes[$i]) ^ 32), ' ' === $bytes[$i] ? '{' : ' '] as $with) {
                    $said = self::check(substr_replace($bytes, $with, $i, 1));
                    self::assertTrue($said['signed'], "byte $i");
                    self::assertContains('file', $said['fails'], "byte $i");
                }
            }
            foreach ([1, 10, 200] as $less) {
                self::assertContains('file', self::check(substr($bytes, 0, -$less))['fails'], "$less bytes fewer");
            }
        }
    }

    #[DataProvider('nothing')]
    public function testWhereNothingWasSignedNothingIsSaid(string $bytes): void
    {
        self::assertSame(['signed' => false, 'holds' => [], 'fails' => []], self::check($bytes));
    }

    /** @return iterable<string, array{string}> */
    public static function nothing(): iterable
    {
        yield 'an empty file' => [''];
        yield 'a text' => ['The quote Q-0092 was signed.'];
        yield 'a map of something else' => ['{"seal":"grey","weight":4}'];
        yield 'a list' => ['[]'];
        yield 'a PDF file that nobody signed' => ["%PDF-1.7\n1 0 obj <</Type /Catalog /Names <</EmbeddedFiles 2 0 R>> >> endobj\n%%EOF\n"];
        yield 'a PDF file with something else in it' => [self::embedded('{"invoice":1}')];
        yield 'bytes' => ["\xFF\xD8\xFF\x00"];
    }

    /** What anybody may send is read in bounds: many beginnings of an embedded file, a bomb, a list without end. */
    public function testAFileThatIsMadeToBeSlowOrLargeIsNoRecord(): void
    {
        $bomb = (string) gzcompress(str_repeat('{"document":', 1_000_000));
        foreach ([
            '%PDF-1.7 '.str_repeat('/Type/EmbeddedFile ', 200_000),
            '%PDF-1.7 /Type/EmbeddedFile /Filter/FlateDecode /Length '.\strlen($bomb)." >> stream\n$bomb",
            '['.str_repeat('0,', 2_000_000).'0]',
            str_repeat('[', 3_000_000),
        ] as $bytes) {
            self::assertFalse(self::check($bytes)['signed']);
        }
        self::assertSame(
            ['document', 'drawing', 'file', 'key'],
            self::check(self::record().str_repeat(' ', EvidenceRecord::MOST))['fails'],
            'ours with a long tail is ours, and changed',
        );
    }

    public function testADrawingThatIsNoneIsNotClosed(): void
    {
        $this->expectException(NotCanonical::class);
        EvidenceRecord::close(self::AGREED, 'data:image/png;base64,***', self::key());
    }

    /** Another program checks the seal: OpenSSL, with nothing but the record's own words (RFC 8032; the key's wrapping is RFC 8410). */
    public function testAnotherProgramFindsTheSealGood(): void
    {
        $seal = self::parts(self::record())['seal'];
        self::assertIsString($seal['value']);
        self::assertIsString($seal['key']);
        $value = $seal['value'];
        unset($seal['value']);
        self::assertSame(['algorithm', 'document', 'drawing', 'key'], array_keys($seal));
        $folder = sys_get_temp_dir().'/telamon-seal-'.bin2hex(random_bytes(6));
        mkdir($folder);
        file_put_contents("$folder/key.der", hex2bin('302a300506032b6570032100'.$seal['key']));
        file_put_contents("$folder/said", json_encode($seal));
        file_put_contents("$folder/value", hex2bin($value));
        $verify = "openssl pkeyutl -verify -pubin -keyform DER -inkey $folder/key.der -rawin -in $folder/said -sigfile $folder/value 2>&1";
        self::assertStringContainsString('Verified Successfully', (string) shell_exec($verify));
        file_put_contents("$folder/said", json_encode(['algorithm' => 'none'] + $seal));
        self::assertStringNotContainsString('Verified Successfully', (string) shell_exec($verify));
        array_map(unlink(...), glob("$folder/*") ?: []);
        rmdir($folder);
    }

    public function testAKeyComesOfItsSecretAlone(): void
    {
        self::assertSame(self::key()->public, SigningKey::of('the secret of this installation')->public);
        self::assertNotSame(self::key()->public, SigningKey::of('the secret of this installatioN')->public);
        self::assertTrue(SigningKey::holds('words', self::key()->sign('words'), self::key()->public));
        self::assertFalse(SigningKey::holds('other words', self::key()->sign('words'), self::key()->public));
        self::assertFalse(SigningKey::holds('words', strtoupper(self::key()->sign('words')), self::key()->public), 'one spelling');
        self::assertFalse(SigningKey::holds('words', self::key()->sign('words'), 'no key'));
    }

    /** @return array{signed: bool, number?: string|null, revision?: int|null, signed_at?: string|null, holds: list<string>, fails: list<string>} */
    private static function check(string $bytes): array
    {
        return (new Checker(self::key()))->check($bytes)->toArray();
    }

    /** @return array{document: array<array-key, mixed>, seal: array<array-key, mixed>} */
    private static function parts(string $record): array
    {
        $read = json_decode($record, true);
        self::assertIsArray($read);
        [$document, $seal] = [$read['document'] ?? null, $read['seal'] ?? null];
        self::assertIsArray($document);
        self::assertIsArray($seal);

        return ['document' => $document, 'seal' => $seal];
    }

    private static function key(): SigningKey
    {
        return SigningKey::of('the secret of this installation');
    }

    private static function record(): string
    {
        return EvidenceRecord::close(self::AGREED, self::drawing(), self::key());
    }

    private static function drawing(): string
    {
        return 'data:image/png;base64,'.base64_encode(self::png());
    }

    private static function png(int $width = 4): string
    {
        $image = imagecreatetruecolor(max(1, $width), 3);
        self::assertNotFalse($image);
        ob_start();
        imagepng($image);

        return (string) ob_get_clean();
    }

    private static function pdf(?SigningKey $key = null, ?string $record = null): string
    {
        $key ??= self::key();

        return SealedPdf::close(self::embedded($record ?? EvidenceRecord::close(self::AGREED, self::drawing(), $key)), $key);
    }

    /** A file as short as one can be, with its record where the program that draws papers puts it. */
    private static function embedded(string $record): string
    {
        $packed = (string) gzcompress($record);

        return "%PDF-1.7\n1 0 obj <</Type /Catalog>> endobj\n2 0 obj (Total 272.40) endobj\n3 0 obj <</Params <</Size ".\strlen($record).' /CheckSum ('.md5($record).') >> /Type/EmbeddedFile /Filter/FlateDecode /Length '.\strlen($packed)." >> stream\n$packed\nendstream\nendobj\n%%EOF\n";
    }
}
