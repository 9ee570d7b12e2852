<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Brief\Brief;
use Gnomic\Brief\BriefIsWrong;
use Gnomic\Brief\BriefReader;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;
use stdClass;

/** JSON Schema 2020-12, by opis/json-schema: the schema that is published and the reader agree on what is a brief, at every path. */
final class BriefSchemaTest extends TestCase
{
    /** What is tried at every path: each kind of value, at and beyond usual bounds. */
    private const VALUES = ['null', 'true', 'false', '0', '1', '-1', '2', '2.5', '5.0', '5.5', '6', '10', '11', '39', '40', '100', '101', '1e3', '2000', '2001', '1e400', '10001', '""', '"x"', '"keep"', '"days"', '"newest"', '"everything"', '"paper"', '"Paper!"', '"en-GB"', '"en_GB"', '"2026-02-28"', '"2026-02-30"',
        '[]',
        '["a"]',
        '["a","a"]',
        '[1]',
        '[null]',
        '[""]',
        '["review"]',
        '["words"]',
        '["overall","overall"]',
        '{}',
        '{"x":1}',
        '{"name":"list"}',
        '{"name":"carousel","across":9}',
        '{"name":"list","across":3}',
        '{"channel":"a"}',
        '{"page":"/"}',
        '{"from":4}',
        '{"any":["a"]}',
        '[{"channel":"a"},{"channel":"a"}]',
        '[{"page":"/a","any":[""]}]',
        '[{}]',
        '[[]]'];

    private ?Validator $validator = null;

    private ?stdClass $schema = null;

    private static function schema(): stdClass
    {
        /** @var stdClass $schema */
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/core/Brief/brief.schema.json'));

        return $schema;
    }

    public function test_what_is_published_is_what_clauses_and_layouts_make(): void
    {
        self::assertSame(
            json_encode(Brief::schema(), JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE)."\n",
            (string) file_get_contents(dirname(__DIR__, 2).'/core/Brief/brief.schema.json'),
            'write it anew with: php artisan gnomic:schema --write',
        );
    }

    public function test_reader_and_schema_agree_at_every_path(): void
    {
        $paths = iterator_to_array(self::paths(self::schema(), []), false);
        self::assertGreaterThan(90, count($paths));
        $seen = ['taken' => 0, 'refused' => 0];
        foreach ($paths as $path) {
            $around = self::around($path);
            foreach ([
                ...self::VALUES,
                json_encode(str_repeat('ü', 36)),
                json_encode(str_repeat('ü', 121)),
                json_encode(array_fill(0, 51, 'a')),
            ] as $value) {
                $this->compare(sprintf($around, (string) $value), $seen);
            }
        }
        self::assertGreaterThan(500, $seen['taken']);
        self::assertGreaterThan(3000, $seen['refused']);
    }

    public function test_what_it_writes_whole_keeps_the_schema(): void
    {
        $schema = self::schema();
        foreach ([
            '{"version":1}',
            '{"version":4,"sift":{"stars":{},"when":{},"labels":{"byPage":[{"page":"/a"}]},"languages":{"only":["en"]}},'
                .'"shape":{"layout":{"name":"list"},"shorten":null}}',
            '{"version":1,"shape":{"layout":"carousel","autoplay":5}}',
        ] as $json) {
            $whole = BriefReader::fromJson($json)->toArray();
            self::assertTrue((new Validator)->validate(json_decode((string) json_encode($whole)), $schema)->isValid(), $json);
            self::assertSame($whole, BriefReader::read($whole)->toArray(), 'and is read the same');
        }
    }

    public function test_the_first_form_is_upgraded(): void
    {
        $upgraded = BriefReader::fromJson(
            '{"version":1,"shape":{"layout":"carousel","across":4,"wholeRows":true,"autoplay":7,"head":[]}}',
        )->toArray();
        $carousel = ['name' => 'carousel', 'across' => 4, 'wholeRows' => true, 'autoplay' => 7];
        self::assertSame($carousel, array_intersect_key($upgraded['shape']['layout'], $carousel) + $carousel);
        self::assertSame(
            ['name' => 'list', 'column' => false],
            BriefReader::fromJson(
                '{"version":1,"shape":{"layout":"list","across":4,"wholeRows":true,"autoplay":null}}',
            )->toArray()['shape']['layout'],
        );
        foreach ([
            '{"version":4,"shape":{"across":3}}',
            '{"version":1,"shape":{"layout":"pile"}}',
            '{"version":1,"shape":{"across":13}}',
            '{"version":5}',
            '{"version":"2"}',
            '{}',
            '[]',
            '7',
        ] as $wrong) {
            try {
                BriefReader::fromJson($wrong);
                self::fail("$wrong was taken");
            } catch (BriefIsWrong $is) {
                self::assertNotSame('', $is->pointer);
            }
        }
    }

    /** @param  array{taken: int, refused: int}  $seen */
    private function compare(string $json, array &$seen): void
    {
        // It keeps what it has parsed of a schema, as long as that is the same object.
        $this->validator ??= new Validator;
        $this->schema ??= self::schema();
        $bySchema = $this->validator->validate(json_decode($json), $this->schema)->isValid();
        try {
            BriefReader::fromJson($json);
            $byReader = true;
        } catch (BriefIsWrong) {
            $byReader = false;
        }
        self::assertSame($bySchema, $byReader, $json);
        $seen[$bySchema ? 'taken' : 'refused']++;
    }

    /**
     * @param  list<string|int>  $path
     * @return iterable<list<string|int>> of every member, "0" for the first item of a list
     */
    private static function paths(stdClass $schema, array $path): iterable
    {
        if ($path !== [] && $path !== ['version']) {
            yield $path;
        }
        foreach (get_object_vars($schema->properties ?? new stdClass) as $name => $member) {
            yield from self::paths($member, [...$path, $name]);
        }
        foreach ($schema->oneOf ?? [] as $variant) {
            foreach (get_object_vars($variant->properties ?? new stdClass) as $name => $member) {
                yield from self::paths($member, [...$path, "{$variant->properties->name->enum[0]}:$name"]);
            }
        }
        if (isset($schema->items)) {
            yield from self::paths($schema->items, [...$path, 0]);
        }
    }

    /**
     * A brief with a gap at a path, and round it what the path needs.
     *
     * @param  list<string|int>  $path
     */
    private static function around(array $path): string
    {
        $json = '%s';
        foreach (array_reverse($path) as $depth => $name) {
            if ($name === 0) {
                $json = "[$json]";
            } elseif (str_contains((string) $name, ':')) {
                [$variant, $member] = explode(':', (string) $name);
                $json = $member === 'name' ? "{\"name\":$json}" : "{\"name\":\"$variant\",\"$member\":$json}";
            } else {
                $beside = match (true) {
                    ($path[count($path) - $depth - 2] ?? null) !== 0 => '',
                    in_array('byPage', $path, true) && $name !== 'page' => '"page":"/",',
                    in_array('allowed', $path, true) && $name !== 'channel' => '"channel":"a",',
                    default => '',
                };
                $json = "{{$beside}\"$name\":$json}";
            }
        }

        return '{"version":4,'.substr($json, 1);
    }
}
