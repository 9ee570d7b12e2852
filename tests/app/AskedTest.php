<?php

declare(strict_types=1);

namespace Tests\app;

use App\Host\Folder;
use App\Http\Requests\Asked;
use Gnomic\Failure;
use Gnomic\Json\JsonIsBroken;
use Gnomic\Json\JsonText;
use Gnomic\Json\MemberIsWrong;
use Illuminate\Contracts\Debug\ExceptionHandler;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Route;
use ReflectionMethod;
use ReflectionNamedType;
use RuntimeException;
use Tests\TestCase;
use Throwable;

/** What is asked of the interface is held to its rules, and what is wrong with it is told to whoever asks and to nobody else. */
final class AskedTest extends TestCase
{
    /** Rules hold once given() is asked: a controller that never does would take anything. */
    public function test_every_controller_that_has_rules_holds_what_is_asked_to_them(): void
    {
        $held = [];
        foreach (Route::getRoutes()->getRoutes() as $route) {
            [$class, $name] = explode('@', $route->getActionName().'@__invoke');
            if (! str_starts_with($class, 'App\\Http\\Controllers\\')) {
                continue;
            }
            $method = new ReflectionMethod($class, $name);
            $lines = array_slice((array) file((string) $method->getFileName()), (int) $method->getStartLine(), (int) $method->getEndLine() - (int) $method->getStartLine());
            foreach ($method->getParameters() as $parameter) {
                $type = $parameter->getType();
                if ($type instanceof ReflectionNamedType && is_subclass_of($type->getName(), Asked::class)) {
                    self::assertStringContainsString('$request->given()', implode('', $lines), "$class::$name");
                    $held[$type->getName()] = true;
                }
            }
        }
        $there = array_filter(
            array_map(fn (string $file): string => 'App\\Http\\Requests\\'.basename($file, '.php'), Folder::paths(app_path('Http/Requests/*.php'))),
            fn (string $class): bool => is_subclass_of($class, Asked::class),
        );
        self::assertEqualsCanonicalizing($there, array_keys($held), 'each of them is asked for somewhere');
    }

    public function test_a_failure_is_told_with_what_a_program_may_want_and_is_no_fault_of_ours(): void
    {
        $failures = [
            [MemberIsWrong::missing('/sift/limit', 'a number'), ['pointer' => '/sift/limit']],
            [$this->broken(), ['line' => 2, 'column' => 4]],
        ];
        foreach ($failures as [$failure, $about]) {
            [$status, $told, $isReported] = $this->answered($failure);
            self::assertSame([422, ['message' => $failure->getMessage()] + $about, false], [$status, $told, $isReported]);
        }
    }

    public function test_anything_else_is_a_fault_of_ours_and_is_not_told(): void
    {
        [$status, $told, $isReported] = $this->answered(new RuntimeException('a secret'));
        self::assertSame([500, true], [$status, $isReported]);
        self::assertStringNotContainsString('secret', json_encode($told, JSON_THROW_ON_ERROR));
    }

    /** @return array{int, mixed, bool} status, body, and whether it is logged */
    private function answered(Throwable $thrown): array
    {
        $handler = $this->app->make(ExceptionHandler::class);
        $response = $handler->render(Request::create('/api/widgets'), $thrown);

        return [$response->getStatusCode(), json_decode((string) $response->getContent(), true), $handler->shouldReport($thrown)];
    }

    private function broken(): Failure
    {
        try {
            JsonText::decode("[1,\n2, ]");
        } catch (JsonIsBroken $broken) {
            return $broken;
        }
        self::fail('it is no JSON');
    }
}
