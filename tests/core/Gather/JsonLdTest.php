<?php

declare(strict_types=1);

namespace Tests\core\Gather;

use Gnomic\Entry\Html;
use Gnomic\Gather\Page\Item;
use Gnomic\Gather\Page\JsonLd;
use Gnomic\Gather\Problem;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class JsonLdTest extends TestCase
{
    /** @var list<Problem> */
    private array $problems = [];

    /** @return list<Item> */
    private function items(string ...$scripts): array
    {
        $this->problems = [];
        $html = implode('', array_map(fn (string $json): string => "<script type=\"application/ld+json\">$json</script>", $scripts));

        return JsonLd::itemsIn(Html::document("<!doctype html><title>x</title>$html"), $this->problems);
    }

    public function test_a_node_its_types_and_values(): void
    {
        [$item] = $this->items(
            '{"@context":"https://schema.org","@type":["schema:Product","http://schema.org/Thing"],"@id":"#p","name":["First",'
                .'"Second"],"price":12.5,"ok":true,"none":null,"sku":{"@value":"A1","@language":"en"},"steps":{"@list":["a","b"]},'
                .'"brand":{"@type":"Brand","name":"B"}}',
        );
        self::assertSame(
            [['Product', 'Thing'], '#p', 'First', '12.5', 'true', null, 'A1'],
            [
                $item->types,
                $item->id,
                $item->text('name'),
                $item->text('price'),
                $item->text('ok'),
                $item->text('none'),
                $item->text('sku'),
            ],
        );
        self::assertSame(
            [['a', 'b'], 'B', true, false],
            [$item->all('steps'), $item->text('brand'), $item->is('Thing', 'Place'), $item->is('Place')],
        );
        self::assertSame('B', $item->item('missing', 'brand')?->text('name'));
    }

    public function test_graphs_lists_and_several_scripts(): void
    {
        self::assertSame(
            ['A', 'B', 'C', 'D'],
            array_map(
                fn (Item $item): string => $item->types[0],
                $this->items('{"@graph":[{"@type":"A"},{"@type":"B"}]}', '[{"@type":"C"}]', '{"@type":"D"}'),
            ),
        );
        self::assertSame(
            ['One'],
            array_map(fn (Item $item): ?string => $item->text('name'), $this->items('{"@graph":{"@type":"A","name":"One"}}')),
        );
    }

    public function test_references_are_followed_across_scripts_and_never_in_circles(): void
    {
        [$review] = $this->items(
            '{"@type":"Review","itemReviewed":{"@id":"#p"}}',
            '{"@type":"Product","@id":"#p","name":"P","review":{"@id":"#r"}}',
            '{"@type":"Review","@id":"#r","itemReviewed":{"@id":"#p"},"reviewBody":"x"}',
        );
        $product = $review->item('itemReviewed');
        self::assertSame(
            ['P', '#r', '#p'],
            [$product?->text('name'), $product?->item('review')?->id, $product?->item('review')?->item('itemReviewed')?->id],
        );
        self::assertNull($product?->item('review')?->item('itemReviewed')?->text('name'), 'a way back is no part');
        self::assertSame(
            ['#nowhere', null],
            [
                $this->items('{"@type":"A","is":{"@id":"#nowhere"}}')[0]->item('is')?->id,
                $this->items('{"@type":"A","is":{"@id":"#nowhere"}}')[0]->text('is'),
            ],
        );
    }

    public function test_what_stands_the_other_way_round(): void
    {
        [$product] = $this->items(
            '{"@type":"Product","name":"P","@reverse":{"itemReviewed":[{"@type":"Review","reviewBody":"x"},{"@type":"Review",'
                .'"reviewBody":"y"}]}}',
        );
        self::assertCount(2, $product->all('review'));
    }

    #[DataProvider('faults')]
    public function test_the_usual_faults_are_mended(string $json, string $name): void
    {
        self::assertSame($name, $this->items($json)[0]->text('name'));
        self::assertSame([], $this->problems);
    }

    /** @return iterable<string, array{string, string}> */
    public static function faults(): iterable
    {
        yield 'a line break in a string' => ["{\"@type\":\"A\",\"name\":\"One\nTwo\"}", 'One Two'];
        yield 'a tab in a string' => ["{\"@type\":\"A\",\"name\":\"One\tTwo\"}", 'One Two'];
        yield 'a comma too many' => ['{"@type":"A","name":"One",}', 'One'];
        yield 'a semicolon behind it' => ['{"@type":"A","name":"One"};', 'One'];
        yield 'within a comment' => ['<!-- {"@type":"A","name":"One"} -->', 'One'];
        yield 'within CDATA' => ['//<![CDATA[
            {"@type":"A","name":"One"}
            //]]>', 'One'];
        yield 'within CDATA and comments' => ['/*<![CDATA[*/{"@type":"A","name":"One"}/*]]>*/', 'One'];
    }

    public function test_broken_ones_are_told_and_keep_no_other_out(): void
    {
        self::assertSame(
            ['B'],
            array_map(fn (Item $item): string => $item->types[0], $this->items('{"@type":"A"', '{"@type":"B"}', 'null')),
        );
        self::assertSame(
            ['JSON-LD script 1', 'JSON-LD script 3'],
            array_map(fn (Problem $problem): string => $problem->where, $this->problems),
        );
    }

    public function test_what_is_nested_without_end_is_read_as_far_as_pages_go(): void
    {
        $deep = str_repeat('{"@type":"A","part":', 60).'{"@type":"Z"}'.str_repeat('}', 60);
        self::assertCount(1, $this->items($deep));
        $wide = '{"@graph":['.implode(
            ',',
            array_map(
                fn (int $number): string => "{\"@type\":\"A\",\"@id\":\"#$number\",\"next\":{\"@id\":\"#".(($number + 1) % 300).'"}}',
                range(0, 299),
            ),
        ).']}';
        self::assertCount(300, $this->items($wide), 'and circles of three hundred end');
    }

    public function test_names_without_their_vocabulary(): void
    {
        self::assertSame(
            ['Review', 'Review', 'Review', 'Review', ''],
            array_map(
                Item::short(...),
                ['https://schema.org/Review', 'schema:Review', 'http://rdf.data-vocabulary.org/#Review', ' Review ', ''],
            ),
        );
    }
}
