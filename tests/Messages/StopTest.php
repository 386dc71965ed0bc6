<?php

declare(strict_types=1);

namespace Telamon\Tests\Messages;

use Telamon\Messages\SignedAddresses;
use Telamon\Tests\Support\AppTestCase;

/** RFC 8058: one click, by a signed link, without signing in; looking at the page does nothing. */
final class StopTest extends AppTestCase
{
    private function link(string $address): string
    {
        $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = 'https://telamon.example';
        try {
            $addresses = self::getContainer()->get(SignedAddresses::class);
            self::assertInstanceOf(SignedAddresses::class, $addresses);

            return (string) parse_url($addresses->stopLink($address), \PHP_URL_PATH);
        } finally {
            $_ENV['TELAMON_URL'] = $_SERVER['TELAMON_URL'] = '';
        }
    }

    public function testALookAheadStopsNothingAndOneClickDoes(): void
    {
        $link = $this->link('Orla.Fennick@example.com');
        $this->browser->request('GET', $link);
        self::assertSame(200, $this->browser->getResponse()->getStatusCode());
        self::assertSame(0, $this->countRows('stopped_address'));
        for ($i = 0; $i < 2; ++$i) {
            $this->browser->request('POST', $link, ['List-Unsubscribe' => 'One-Click']);
            self::assertStringContainsString('We send nothing to orla.fennick@example.com any more', strip_tags((string) $this->browser->getResponse()->getContent()));
        }
        self::assertSame(1, $this->countRows('stopped_address'));
    }

    public function testALinkThatSomebodyMadeUpStopsNobody(): void
    {
        $link = $this->link('orla.fennick@example.com');
        foreach ([
            substr($link, 0, -1).'0',
            str_replace('.', '.0', $link),
            '/stop/x',
            '/stop/'.rtrim(strtr(base64_encode('hugh@example.com'), '+/', '-_'), '=').substr($link, (int) strpos($link, '.')),
        ] as $wrong) {
            if ($wrong === $link) {
                continue;
            }
            $this->browser->request('POST', $wrong);
            self::assertSame(404, $this->browser->getResponse()->getStatusCode(), $wrong);
        }
        self::assertSame(0, $this->countRows('stopped_address'));
    }

    public function testByHandAndBackAgain(): void
    {
        $this->signIn();
        $this->inquire()->ok(201);
        $this->accept($this->lastSubmission())->ok();
        $client = $this->db()->fetchOne('SELECT id FROM client');
        self::assertIsString($client);
        $this->post('/api/stops', ['client' => $client, 'stopped' => true])->ok(204);
        self::assertEqualsCanonicalizing(['+353209143327', 'orla.fennick@example.com'], $this->get("/api/stops?client=$client")->ok()->column('items', 'address'));
        $this->post('/api/changes/'.$this->get('/api/changes/last')->ok()->text('change.id').'/undo')->ok();
        self::assertSame([], $this->get("/api/stops?client=$client")->ok()->rows('items'), 'taken back');
        $this->post('/api/stops', ['client' => $client, 'stopped' => true])->ok(204);
        $this->post('/api/stops', ['client' => $client, 'stopped' => false])->ok(204);
        self::assertSame([], $this->get("/api/stops?client=$client")->ok()->rows('items'));
    }
}
