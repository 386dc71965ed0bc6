<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Telamon\Clients\ContactPoint;
use Telamon\Messages\SignedAddresses;
use Telamon\Tests\Support\AppTestCase;

/** What a stranger brings is believed once whoever reads its mail has said so by a link. */
final class ConfirmAddressTest extends AppTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = 'https://telamon.example';
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $this->db()->executeStatement("UPDATE contact_point SET confirmed = 0 WHERE kind = 'email'");
    }

    protected function tearDown(): void
    {
        $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = '';
        parent::tearDown();
    }

    public function testTheLinkThatIsMailedConfirmsAndLookingDoesNot(): void
    {
        $this->post("/api/contact-points/{$this->point()}/ask")->ok(204);
        $letter = $this->db()->fetchAssociative("SELECT to_address, subject, text FROM message WHERE template = 'confirm-address'");
        self::assertIsArray($letter);
        self::assertSame('orla.fennick@example.com', $letter['to_address']);
        // Nothing that a stranger wrote stands in it.
        self::assertStringNotContainsString('Orla', (string) $letter['text']);
        self::assertSame(1, preg_match('#https://telamon\.example(/confirm/\S+)#', (string) $letter['text'], $m));
        $link = $m[1] ?? '';
        $this->page('GET', $link, 200, 'Is orla.fennick@example.com your address?');
        self::assertFalse($this->isConfirmed());
        for ($i = 0; $i < 2; ++$i) {
            $this->page('POST', $link, 200, 'orla.fennick@example.com is confirmed');
            self::assertTrue($this->isConfirmed());
        }
        self::assertSame(1, (int) $this->db()->fetchOne("SELECT COUNT(*) FROM change_set WHERE words LIKE '%was confirmed by the link mailed to it'"));
        self::assertArrayHasKey('id', $this->post("/api/contact-points/{$this->point()}/ask")->ok(422)->violations());
    }

    public function testItIsAskedOnceADay(): void
    {
        $this->post("/api/contact-points/{$this->point()}/ask")->ok(204);
        self::assertStringContainsString('within the last day', $this->post("/api/contact-points/{$this->point()}/ask")->ok(422)->violations()['id'] ?? '');
        $this->clock->modify('+25 hours');
        $this->signIn();
        $this->post("/api/contact-points/{$this->point()}/ask")->ok(204);
    }

    public function testALinkEndsWithItsAddressAndItsTimeAndCannotBeMadeUp(): void
    {
        $link = $this->link();
        foreach (["/confirm/{$this->point()}.9999999999.".str_repeat('0', 64), substr($link, 0, -1), '/confirm/x', '/confirm/'.str_repeat('a', 300)] as $wrong) {
            $this->page('POST', $wrong, 404, 'This link is not ours');
        }
        $this->db()->executeStatement("UPDATE contact_point SET value = 'hugh@example.com' WHERE id = ?", [$this->point()]);
        $this->page('POST', $link, 404, 'has ended');
        self::assertFalse($this->isConfirmed());
        $link = $this->link();
        $this->clock->modify('+15 days');
        $this->page('POST', $link, 404, 'has ended');
        self::assertFalse($this->isConfirmed());
    }

    public function testWhoMayNotWriteToClientsDoesNotAsk(): void
    {
        $point = $this->point();
        $this->signIn('pim@marrowby.example');
        $this->post("/api/contact-points/$point/ask")->ok(403);
        self::assertSame(0, (int) $this->db()->fetchOne("SELECT COUNT(*) FROM message WHERE template = 'confirm-address'"));
        $this->signIn();
        $this->post('/api/contact-points/'.str_repeat('0', 8).'-0000-0000-0000-000000000000/ask')->ok(404);
    }

    private function point(): string
    {
        $id = $this->db()->fetchOne("SELECT id FROM contact_point WHERE kind = 'email'");
        self::assertIsString($id);

        return $id;
    }

    private function isConfirmed(): bool
    {
        return 1 === (int) $this->db()->fetchOne("SELECT confirmed FROM contact_point WHERE kind = 'email'");
    }

    private function link(): string
    {
        $em = self::getContainer()->get('doctrine')->getManager();
        $em->clear();
        $point = $em->find(ContactPoint::class, $this->point());
        self::assertInstanceOf(ContactPoint::class, $point);

        return (string) parse_url(self::getContainer()->get(SignedAddresses::class)->confirmLink($point), \PHP_URL_PATH);
    }

    private function page(string $method, string $link, int $status, string $says): void
    {
        // A page that says nothing of where it was sends no origin with its form.
        $this->browser->request($method, $link, server: ['HTTP_ORIGIN' => 'null', 'CONTENT_TYPE' => 'application/x-www-form-urlencoded']);
        self::assertSame($status, $this->browser->getResponse()->getStatusCode(), $link);
        self::assertStringContainsString($says, (string) $this->browser->getResponse()->getContent());
    }
}
