<?php

declare(strict_types=1);

namespace Telamon\Tests\Intake;

use Symfony\Component\Process\Exception\ProcessSignaledException;
use Telamon\Tests\Support\AppTestCase;
use Telamon\Tests\Support\DataFolder;

/** A process that dies in the middle of accepting has accepted nothing; two at once accept once. */
final class KilledTest extends AppTestCase
{
    private const MADE = ['client', 'project', 'task', 'message', 'queued', 'asset'];

    public function testKilledWhileWritingNothingIsThere(): void
    {
        $this->inquire()->ok(201);
        touch("{$this->data}/".DiesWhileWriting::SIGN);
        $process = DataFolder::console($this->data, 'test:accept');
        $process->start();
        try {
            $process->wait();
            self::fail('it should have been killed: '.$process->getErrorOutput());
        } catch (ProcessSignaledException $killed) {
            self::assertSame(\SIGKILL, $killed->getSignal());
        }
        foreach (self::MADE as $table) {
            self::assertSame(0, $this->countRows('queued' === $table ? "queued WHERE queue = 'outbox'" : $table), $table);
        }
        $this->signIn();
        self::assertSame('waiting', $this->get('/api/submissions/'.$this->lastSubmission())->ok()->text('state'));
        unlink("{$this->data}/".DiesWhileWriting::SIGN);
        $this->accept($this->lastSubmission())->ok();
        self::assertSame(1, $this->countRows('project'));
    }

    public function testTwoAtTheSameMomentAcceptOnce(): void
    {
        $this->inquire()->ok(201);
        $processes = [];
        for ($i = 0; $i < 4; ++$i) {
            $process = DataFolder::console($this->data, 'test:accept');
            $process->start();
            $processes[] = $process;
        }
        $codes = [];
        foreach ($processes as $process) {
            $codes[] = $process->wait();
        }
        sort($codes);
        self::assertSame([0, 9, 9, 9], $codes, 'one is accepted, the others are told 409');
        self::assertSame(1, $this->countRows('project'));
        self::assertSame(1, $this->countRows('client'));
        self::assertSame(2, $this->countRows('message'));
    }
}
