<?php

declare(strict_types=1);

namespace Tests\against;

use Gnomic\Brief\BriefIsWrong;
use Gnomic\Brief\BriefReader;
use Opis\JsonSchema\Validator;
use PHPUnit\Framework\TestCase;

/** JSON Schema 2020-12, by opis/json-schema: the schema that is published and the reader agree on what is a brief. */
final class BriefSchemaTest extends TestCase
{
    public function test_reader_and_schema_agree(): void
    {
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/core/Brief/brief.schema.json'));
        $values = [
            'gather.sources' => [null, [], ['a'], ['a', 7], 'a', ['']],
            'gather.kinds' => [null, [], ['review'], ['review', 'review'], ['rumour'], ['post', 'testimonial']],
            'sift.stars' => [null, ['from' => 4], ['from' => 0], ['to' => 6], ['unrated' => 'keep'], ['unrated' => 'x'], ['about' => 1], 'four', ['from' => 2.5, 'to' => 3]],
            'sift.withWords' => [true, false, 'yes', 1],
            'sift.order' => ['newest', 'lowest', 'best', 1],
            'sift.limit' => [1, 100, 0, 101, 2.5, '3'],
            'sift.pins' => [[], ['a'], ['a', 'a'], [1], 'a'],
            'sift.hidden' => [[], ['a', 'b'], ['a', 'a']],
            'shape.layout' => ['list', 'carousel', 'mosaic'],
            'shape.across' => [1, 5, 0, 6],
            'shape.autoplay' => [null, 2, 60, 1, 61],
            'shape.shorten' => [null, 40, 2000, 39, 2001],
            'shape.card' => [[], ['words'], ['words', 'words'], ['hat']],
            'shape.head' => [[], ['overall', 'spread'], ['x']],
            'shape.heading' => [null, 'What visitors say', str_repeat('x', 121), 4],
            'shape.honest' => [true, 'no'],
            'shape.more' => [1],
            'dress.name' => ['paper', 'night-ink', 'pink'],
            'version' => [1, 2, '1'],
            'extra' => [1],
        ];
        $validator = new Validator;
        $seen = [true => 0, false => 0];
        foreach ($values as $path => $choices) {
            foreach ($choices as $value) {
                $brief = ['version' => 1];
                [$part, $member] = [...explode('.', $path), null];
                $member === null ? $brief[$part] = $value : $brief[$part] = [$member => $value];
                $bySchema = $validator->validate(json_decode((string) json_encode($brief)), $schema)->isValid();
                try {
                    BriefReader::read($brief);
                    $byReader = true;
                } catch (BriefIsWrong) {
                    $byReader = false;
                }
                self::assertSame($bySchema, $byReader, "$path = ".json_encode($value));
                $seen[$bySchema]++;
            }
        }
        self::assertGreaterThan(25, $seen[true]);
        self::assertGreaterThan(25, $seen[false]);
    }
}
