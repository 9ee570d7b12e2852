<?php

declare(strict_types=1);

namespace Tests\core;

use PhpToken;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;

/** The core is rules and computation: no framework, no I/O, no clock, no chance, no environment. */
final class CoreIsPureTest extends TestCase
{
    private const ALLOWED = ['Gnomic\\', 'Psr\\', 'Masterminds\\', 'Symfony\\Component\\HtmlSanitizer\\', 'Symfony\\Component\\CssSelector\\', 'Sabberworm\\'];

    private const FORBIDDEN_FUNCTIONS = ['time', 'microtime', 'hrtime', 'date', 'gmdate', 'mktime', 'strtotime', 'getdate', 'localtime', 'sleep', 'usleep',
        'rand', 'mt_rand', 'random_int', 'random_bytes', 'uniqid', 'shuffle', 'array_rand', 'lcg_value',
        'file_get_contents',
        'file_put_contents',
        'fopen',
        'readfile',
        'file',
        'glob',
        'scandir',
        'unlink',
        'mkdir',
        'curl_init',
        'fsockopen',
        'stream_socket_client',
        'getenv',
        'putenv',
        'header',
        'setcookie',
        'exec',
        'shell_exec',
        'system',
        'proc_open',
        'gethostbyname',
        'dns_get_record',
        'config',
        'app',
        'env',
        'now'];

    private const FORBIDDEN_CLASSES = ['PDO', 'SQLite3', 'DateTime', 'SplFileObject', 'SplFileInfo'];

    #[DataProvider('files')]
    public function test_a_file_keeps_to_itself(string $path): void
    {
        $tokens = array_values(array_filter(
            PhpToken::tokenize((string) file_get_contents($path)),
            fn (PhpToken $token): bool => ! $token->isIgnorable(),
        ));
        foreach ($tokens as $index => $token) {
            [$before, $after] = [$tokens[$index - 1] ?? null, $tokens[$index + 1] ?? null];
            if ($token->is([T_NAME_QUALIFIED, T_NAME_FULLY_QUALIFIED]) && $before?->is([T_USE, T_NEW, T_NAMESPACE]) === true) {
                $name = ltrim($token->text, '\\');
                $allowed = ! str_contains($name, '\\')
                    || array_filter(self::ALLOWED, fn (string $prefix): bool => str_starts_with("$name\\", $prefix)) !== [];
                self::assertTrue($allowed, "$path uses $name");
            }
            if (
                $token->is(T_STRING)
                && $after?->text === '('
                && $before?->is([T_OBJECT_OPERATOR, T_NULLSAFE_OBJECT_OPERATOR, T_DOUBLE_COLON, T_FUNCTION, T_NEW]) === false
            ) {
                self::assertNotContains(
                    strtolower($token->text),
                    self::FORBIDDEN_FUNCTIONS,
                    "$path calls $token->text() in line $token->line",
                );
            }
            if (
                $token->is([T_STRING, T_NAME_FULLY_QUALIFIED])
                && ($before?->is([T_NEW, T_USE]) === true || $after?->is(T_DOUBLE_COLON) === true)
            ) {
                self::assertNotContains(
                    ltrim($token->text, '\\'),
                    self::FORBIDDEN_CLASSES,
                    "$path uses $token->text in line $token->line",
                );
            }
            if ($token->is(T_STRING) && $token->text === 'DateTimeImmutable' && $before?->is(T_NEW) === true) {
                self::assertSame('(', $after?->text, "$path asks the clock in line $token->line");
                self::assertNotSame(')', $tokens[$index + 2]->text ?? '', "$path asks the clock in line $token->line");
            }
            self::assertFalse($token->is([T_INLINE_HTML, T_ECHO, T_PRINT]), "$path prints in line $token->line");
            self::assertFalse(
                $token->is(T_VARIABLE) && in_array($token->text, ['$_SERVER', '$_GET', '$_POST', '$_ENV', '$GLOBALS'], true),
                "$path reads $token->text",
            );
        }
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $root = dirname(__DIR__, 2).'/core';
        /** @var SplFileInfo $file */
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($root)) as $file) {
            if ($file->getExtension() === 'php') {
                yield substr($file->getPathname(), strlen($root) + 1) => [$file->getPathname()];
            }
        }
    }
}
