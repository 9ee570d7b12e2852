<?php

declare(strict_types=1);

namespace Tests\core;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\ParserFactory;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** A PHP file as a tree, every name in it resolved, so that no way of writing one hides it. */
final readonly class SyntaxTree
{
    /** @param  array<Node>  $nodes */
    private function __construct(private array $nodes)
    {
    }

    public static function of(string $code): self
    {
        $parsed = (new ParserFactory)->createForHostVersion()->parse($code) ?? [];

        return new self((new NodeTraverser(new NameResolver))->traverse($parsed));
    }

    /**
     * @template T of Node
     *
     * @param  class-string<T>  $kind
     * @return list<T>
     */
    public function all(string $kind): array
    {
        return array_values((new NodeFinder)->findInstanceOf($this->nodes, $kind));
    }

    /** @return array<string, int> the classes that it names outside of strings, each with a line that does */
    public function classes(): array
    {
        $functions = [];
        foreach ([...$this->all(Node\Expr\FuncCall::class), ...$this->all(Node\Expr\ConstFetch::class)] as $call) {
            $functions[spl_object_id($call->name)] = true;
        }
        $named = [];
        foreach ($this->all(Node\Name\FullyQualified::class) as $name) {
            if (! isset($functions[spl_object_id($name)])) {
                $named[$name->toString()] = $name->getStartLine();
            }
        }

        return $named;
    }

    /** @return iterable<SplFileInfo> PHP files of a folder of the project */
    public static function files(string $folder): iterable
    {
        $root = new RecursiveDirectoryIterator(dirname(__DIR__, 2)."/$folder", RecursiveDirectoryIterator::SKIP_DOTS);
        foreach (new RecursiveIteratorIterator($root) as $file) {
            if ($file instanceof SplFileInfo && $file->getExtension() === 'php') {
                yield $file;
            }
        }
    }
}
