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
    private const ID = 'https://gnomic.example/openapi.json';

    /** @var array<string, mixed> */
    private static array $document = [];

    private static ?Validator $validator = null;

    /**
     * @param  string  $path  as the description has it: "/widgets/{key}"
     * @param  TestResponse<Response>  $response
     */
    public static function assertKept(string $method, string $path, TestResponse $response): void
    {
        $status = (string) $response->getStatusCode();
        $described = self::document()['paths'][$path][$method]['responses'][$status] ?? null;
        Assert::assertNotNull($described, "$method $path answers $status, which is not described: ".$response->getContent());
        if (isset($described['$ref'])) {
            $described = self::document()['components']['responses'][basename((string) $described['$ref'])];
        }
        $schema = $described['content']['application/json']['schema'] ?? null;
        if ($schema === null) {
            Assert::assertContains($response->getContent(), ['', '{}', 'null']);

            return;
        }
        $error = self::validator()->validate(json_decode((string) $response->getContent()), self::described($schema))->error();
        Assert::assertNull($error, "$method $path: ".($error === null ? '' : json_encode((new ErrorFormatter)->format($error))));
    }

    /**
     * The whole description, read once a process: to read it takes longer than most tests.
     *
     * @return array<string, mixed>
     */
    private static function document(): array
    {
        if (self::$document === []) {
            self::$document = Yaml::parseFile(dirname(__DIR__, 2).'/docs/openapi.yaml');
            // The brief has a file of its own.
            self::$document['components']['schemas']['Brief'] = array_diff_key(
                json_decode((string) file_get_contents(dirname(__DIR__, 2).'/core/Brief/brief.schema.json'), true),
                ['$schema' => 1, '$id' => 1],
            );
        }

        return self::$document;
    }

    /** Knows the schemas that answers refer to. */
    private static function validator(): Validator
    {
        if (self::$validator === null) {
            self::$validator = new Validator;
            self::$validator->resolver()?->registerRaw((string) json_encode([
                '$schema' => 'https://json-schema.org/draft/2020-12/schema',
                '$id' => self::ID,
                'components' => ['schemas' => self::document()['components']['schemas']],
            ]));
        }

        return self::$validator;
    }

    /** One answer's schema, whose references lead into the description. */
    private static function described(mixed $schema): object
    {
        $pointed = str_replace('"#\/components\/', '"'.self::ID.'#\/components\/', (string) json_encode($schema));
        $object = json_decode($pointed);
        Assert::assertIsObject($object);

        return $object;
    }
}
