<?php

declare(strict_types=1);

namespace Tests\core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The core is rules and computation: no framework, no I/O, no clock, no chance, no environment. */
final class CoreIsPureTest extends TestCase
{
    #[DataProvider('files')]
    public function test_a_file_depends_on_its_arguments_alone(string $path): void
    {
        self::assertSame([], Purity::offences((string) file_get_contents($path)));
    }

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        foreach (SyntaxTree::files('core') as $file) {
            yield substr($file->getPathname(), strlen(dirname(__DIR__, 2)) + 1) => [$file->getPathname()];
        }
    }

    /** However it is written. */
    #[DataProvider('impurities')]
    public function test_what_is_not_pure_is_found(string $code): void
    {
        self::assertNotSame([], Purity::offences("<?php\nnamespace Gnomic\\Any;\n$code"));
    }

    /** @return iterable<array{string}> */
    public static function impurities(): iterable
    {
        $all = ['\time();', 'time();', 'TIME();', 'use function time as hour; hour();', '$x = time(...);', 'date_create();', '\file_get_contents("a");',
            'new \DateTimeImmutable;', 'new \DateTimeImmutable();', 'new \DateTimeImmutable("now");', 'use DateTimeImmutable as D; new D("now");',
            'new \DateTimeImmutable("today", $zone);', 'new \DateTimeImmutable("+1 day");', 'new \DateTimeImmutable("12:00");',
            'new \DateTimeImmutable(null);', 'new \DateTime("2026-01-01");', '\DateTimeImmutable::createFromFormat("H:i", $x);',
            '\Illuminate\Support\Str::of("x");', 'use Illuminate\Support\Str; Str::of("x");', 'use Illuminate\Support; Support\Str::of("x");',
            'function of(\Illuminate\Http\Request $request) {}', '$x instanceof \Carbon\Carbon;', 'fn (): \App\Models\Site => $x;',
            'rand();', 'array_rand([1]);', 'shuffle($x);', 'str_shuffle("a");', 'new \Random\Randomizer;', 'random_int(0, 1);', 'uniqid();',
            'getenv("A");', '$_SERVER["a"];', 'ini_get("a");', 'setlocale(0, "C");', 'date_default_timezone_get();', 'gethostname();',
            'echo 1;', 'print 1;', 'exit;', 'eval("1;");', '`ls`;', 'include "a.php";', 'global $a;', 'is_file("a");', 'fopen("a", "r");',
            'call_user_func("time");', '\call_user_func("\\\\time");', 'app("a");', 'config("a");', 'usleep(1);', 'new \PDO("a");',
            'new \SplFileObject("a");', 'curl_init();', '\Locale::getDefault();', '$document->loadHTMLFile("a");', 'undefined_function();'];
        foreach ($all as $code) {
            yield $code => [$code];
        }
    }
}
