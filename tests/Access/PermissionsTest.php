<?php

declare(strict_types=1);

namespace Telamon\Tests\Access;

use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Routing\Route;
use Symfony\Component\Routing\RouterInterface;
use Symfony\Component\Security\Http\Attribute\IsGranted;
use Telamon\Staff\Permission;
use Telamon\Staff\Role;
use Telamon\Tests\Support\AppTestCase;

/** Every route asks for a permission, roles have those that they have, and nobody reads more than their own work reaches. */
final class PermissionsTest extends AppTestCase
{
    private const NOBODY = '01a21054-d09d-73f3-84e4-dfab4b5f669b';

    public function testEveryRouteAsksForAPermission(): void
    {
        foreach ($this->routes() as $path => $route) {
            self::assertNotNull(self::asked($route), "$path asks for no permission");
        }
    }

    #[DataProvider('roles')]
    public function testARoleReachesWhatItMay(Role $role): void
    {
        $this->db()->executeStatement("UPDATE staff SET role = ? WHERE email = 'coordinator@marrowby.example'", [$role->value]);
        $session = $this->signIn();
        self::assertSame(array_map(static fn (Permission $one): string => $one->value, $role->may()), $session->at('user.may'));
        $refused = 0;
        foreach ($this->routes() as $route) {
            $may = \in_array(self::asked($route), $role->may(), true);
            foreach (array_diff($route->getMethods(), ['DELETE']) as $method) {
                $path = (string) preg_replace(['~\{list\}~', '~\{\w+\}~'], ['clients', self::NOBODY], $route->getPath());
                $status = $this->call($method, $path, 'GET' === $method ? null : [])->status;
                $may ? self::assertNotContains($status, [401, 403], "$method $path") : self::assertSame(403, $status, "$method $path");
                $refused += $may ? 0 : 1;
            }
        }
        self::assertSame(\count($role->may()) < \count(Permission::cases()), $refused > 20);
    }

    /** @return iterable<string, array{Role}> */
    public static function roles(): iterable
    {
        foreach (Role::cases() as $role) {
            yield $role->value => [$role];
        }
    }

    public function testFieldStaffReadTheirOwnWorkAndNothingElse(): void
    {
        $file = tempnam(sys_get_temp_dir(), 'photo');
        self::assertIsString($file);
        imagepng(imagecreatetruecolor(8, 8) ?: self::fail('no picture'), $file);
        $this->signIn();
        $ids = [];
        foreach (['Orla Fennick', 'Wilf Ambry', 'Tess Quill'] as $i => $name) {
            $photo = $this->upload($file, "$name.png")->ok(201)->text('id');
            $this->inquire([
                'name' => $name,
                'email' => "c$i@example.com",
                'phone' => "020 914 332$i",
                'place' => "$i Weir Cottages, Marrowby",
                'piano' => "Pell $i",
                'matter' => "It is number $i",
                'photos' => [$photo],
            ])
                ->ok(201);
            if ('Tess Quill' !== $name) {
                $this->accept($this->lastSubmission())->ok();
            }
        }
        $this->db()
            ->executeStatement(
                "UPDATE task SET assignee_id = (SELECT id FROM staff WHERE initials = 'PT') WHERE position = 1 AND project_id = (SELECT id FROM project WHERE number = 'P-0001')",
            );
        foreach ([
            'client' => 'SELECT id FROM client ORDER BY id',
            'project' => 'SELECT id FROM project ORDER BY number',
            'file' => 'SELECT a.id FROM attachment a JOIN submission s ON s.id = a.submission_id ORDER BY s.number',
        ] as $kind => $sql) {
            $ids[$kind] = array_map(static fn (mixed $id): string => \is_string($id) ? $id : '', $this->db()->fetchFirstColumn($sql));
        }

        $this->signIn('pim@marrowby.example');
        self::assertSame(['Orla Fennick'], $this->get('/api/clients')->ok()->column('items', 'name'));
        self::assertSame(['P-0001'], $this->get('/api/projects')->ok()->column('items', 'number'));
        self::assertSame([1], array_values(array_filter($this->get('/api/projects')->ok()->column('stages', 'projects'), static fn (mixed $n): bool => 0 !== $n)));
        self::assertSame(
            ['P-0001'],
            array_values(array_unique(array_map(
                static fn (array $task): mixed => \is_array($task['project']) && \is_string($task['project']['label']) ? substr($task['project']['label'], 0, 6) : null,
                $this->get('/api/tasks')->ok()->rows('items'),
            ))),
        );
        self::assertSame([], $this->get("/api/tasks?project={$ids['project'][1]}")->ok()->rows('items'));
        foreach (['client' => 'clients', 'project' => 'projects', 'file' => 'files'] as $kind => $path) {
            self::assertSame(200, $this->get("/api/$path/{$ids[$kind][0]}")->status, $kind);
            $this->get("/api/$path/{$ids[$kind][1]}")->ok(403);
        }
        $this->get("/api/files/{$ids['file'][2]}")->ok(403);
        self::assertSame(
            [[1, 1], [0, 0]],
            array_map(
                fn (string $id): array => array_map(fn (string $list): int => \count($this->get("/api/$list?client=$id")->ok()->rows('items')), ['projects', 'files']),
                [$ids['client'][0], $ids['client'][1]],
            ),
            'their own client’s, and nobody else’s',
        );
        foreach (['messages', 'submissions'] as $list) {
            $this->get("/api/$list?client={$ids['client'][0]}")->ok(403);
        }
        self::assertSame([1, 0], array_map(fn (string $id): int => \count($this->get("/api/files?project=$id")->ok()->rows('items')), [$ids['project'][0], $ids['project'][1]]));
        self::assertNull($this->get("/api/projects/{$ids['project'][0]}")->ok()->at('submission'));

        self::assertNotSame([], $this->get('/api/search?q=orla')->ok()->rows('items'));
        self::assertSame([], $this->get('/api/search?q=wilf')->ok()->rows('items'));
        self::assertSame([], $this->get('/api/search?q=wlif+ambry')->ok()->rows('items'), 'nor by a slip');
        self::assertSame([], $this->get('/api/search?q=tess')->ok()->rows('items'));
        self::assertSame([null], array_values(array_unique($this->get('/api/journal')->ok()->column('items', 'submission'), \SORT_REGULAR)));
        $told = json_encode($this->get('/api/journal')->ok()->rows('items'), \JSON_THROW_ON_ERROR);
        self::assertStringContainsString('Orla', $told);
        self::assertStringNotContainsString('Wilf', $told);
        self::assertSame([], $this->get("/api/journal?record={$ids['client'][1]}")->ok()->rows('items'));
        self::assertSame([0, []], [$this->get('/api/day')->ok()->number('toAnswer'), $this->get('/api/day')->ok()->rows('arrivals')]);
    }

    /** @return iterable<string, Route> all that somebody signed in reaches */
    private function routes(): iterable
    {
        $router = self::getContainer()->get(RouterInterface::class);
        self::assertInstanceOf(RouterInterface::class, $router);
        foreach ($router->getRouteCollection() as $route) {
            $path = $route->getPath();
            if (str_starts_with($path, '/api/') && !str_starts_with($path, '/api/public/') && !\in_array($path, ['/api/health', '/api/empty', '/api/session'], true)) {
                yield implode('|', $route->getMethods())." $path" => $route;
            }
        }
    }

    private static function asked(Route $route): ?Permission
    {
        $controller = $route->getDefault('_controller');
        [$class, $method] = [...explode('::', \is_string($controller) ? $controller : ''), ''];
        self::assertTrue(class_exists($class));
        foreach ([new \ReflectionMethod($class, $method), new \ReflectionClass($class)] as $place) {
            foreach ($place->getAttributes(IsGranted::class) as $attribute) {
                $asked = $attribute->newInstance()->attribute;

                return \is_string($asked) ? Permission::tryFrom($asked) : null;
            }
        }

        return null;
    }
}
