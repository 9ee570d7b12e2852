<?php

declare(strict_types=1);

namespace Tests\app;

use Illuminate\Support\Facades\Route;
use Symfony\Component\Yaml\Yaml;
use Tests\TestCase;

/** docs/openapi.yaml describes every route that there is and no other, with how each can be refused. */
final class DescriptionTest extends TestCase
{
    public function test_what_is_described_is_what_there_is(): void
    {
        $paths = Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml')['paths'];
        $described = $there = [];
        foreach ($paths as $path => $operations) {
            foreach (array_intersect_key($operations, array_flip(['get', 'post', 'put', 'patch', 'delete'])) as $method => $operation) {
                $described[] = "$method $path";
                $statuses = array_map(strval(...), array_keys($operation['responses']));
                $wanted = [
                    '401' => ! isset($operation['security']),
                    '404' => str_contains((string) $path, '{key}') || str_contains((string) $path, '{id}'),
                    '419' => $method !== 'get',
                    '422' => isset($operation['requestBody']),
                ];
                self::assertSame([], array_diff(array_keys(array_filter($wanted)), array_map(intval(...), $statuses)), "$method $path");
            }
        }
        foreach (Route::getRoutes()->getRoutes() as $route) {
            if (str_starts_with($route->uri(), 'api/') && $route->uri() !== 'api/{any}') {
                foreach (array_diff($route->methods(), ['HEAD']) as $method) {
                    $there[] = strtolower($method).' '.substr($route->uri(), 3);
                }
            }
        }
        self::assertEqualsCanonicalizing($there, $described);
    }
}
