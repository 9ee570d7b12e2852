<?php

declare(strict_types=1);

namespace Tests\app;

use Illuminate\Testing\TestResponse;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\Assert;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Yaml\Yaml;

/** Holds answers against docs/openapi.yaml: the status is described, and the body keeps its schema. */
final class Contract
{
    /**
     * @param  string  $path  as the description has it: "/widgets/{key}"
     * @param  TestResponse<Response>  $response
     */
    public static function assertKept(string $method, string $path, TestResponse $response): void
    {
        /** @var array<string, mixed> $document */
        $document = Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml');
        // The brief has a file of its own.
        $document['components']['schemas']['Brief'] = array_diff_key(
            json_decode((string) file_get_contents(dirname(__DIR__, 2).'/core/Brief/brief.schema.json'), true),
            ['$schema' => 1, '$id' => 1],
        );
        $described = $document['paths'][$path][$method]['responses'][(string) $response->getStatusCode()] ?? null;
        Assert::assertNotNull(
            $described,
            "$method $path answers {$response->getStatusCode()}, which is not described: ".$response->getContent(),
        );
        if (isset($described['$ref'])) {
            $described = $document['components']['responses'][basename((string) $described['$ref'])];
        }
        $schema = $described['content']['application/json']['schema'] ?? null;
        if ($schema === null) {
            Assert::assertContains($response->getContent(), ['', '{}', 'null']);

            return;
        }
        $whole = [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://gnomic.example/openapi.json',
            'components' => ['schemas' => $document['components']['schemas']],
            'allOf' => [$schema],
        ];
        $result = (new Validator)->validate(json_decode((string) $response->getContent()), json_decode((string) json_encode($whole)));
        $error = $result->error();
        Assert::assertNull($error, "$method $path: ".($error === null ? '' : json_encode((new ErrorFormatter)->format($error))));
    }
}
