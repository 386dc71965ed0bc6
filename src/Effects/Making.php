<?php

declare(strict_types=1);

namespace Telamon\Effects;

/** What the lines of one plan have made or found so far; later lines hang on it. */
final class Making
{
    /** @var list<object> the newest first */
    private array $things = [];

    /** @param Occasion|null $occasion what came in and is carried out; null where something else happened */
    public function __construct(public readonly \DateTimeImmutable $now, public readonly ?Occasion $occasion = null)
    {
    }

    /**
     * @template T of object
     *
     * @param T $thing
     *
     * @return T
     */
    public function add(object $thing): object
    {
        array_unshift($this->things, $thing);

        return $thing;
    }

    /**
     * Adds it where none of its class is there yet: what a plan is about is the first; others only hang on the client.
     *
     * @template T of object
     *
     * @param class-string<T> $class
     * @param T $thing
     *
     * @return T
     */
    public function first(string $class, object $thing): object
    {
        return null === $this->find($class) ? $this->add($thing) : $thing;
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T|null the newest of that class
     */
    public function find(string $class): ?object
    {
        foreach ($this->things as $thing) {
            if ($thing instanceof $class) {
                return $thing;
            }
        }

        return null;
    }

    /**
     * @template T of object
     *
     * @param class-string<T> $class
     *
     * @return T
     *
     * @throws NothingToHangOn where no line before this one made one
     */
    public function the(string $class): object
    {
        return $this->find($class) ?? throw new NothingToHangOn("no line before this one made or found a $class");
    }
}
