<?php

declare(strict_types=1);

namespace Gnomic\Brief;

use Gnomic\Dress\Dress;
use Gnomic\Json\JsonIsBroken;
use Gnomic\Json\JsonText;
use Gnomic\Json\MemberIsWrong;
use Gnomic\Json\Schema\ObjectSchema;
use Gnomic\Shape\Shape;
use Gnomic\Sift\Criteria;
use stdClass;

/**
 * Reads a brief from its JSON form: accepts what brief.schema.json accepts, and earlier forms by upgrading them. What is allowed
 * but hardly meant, such as stars from 5 to 4, is read and told by Doubts.
 */
final class BriefReader
{
    /**
     * @param  mixed  $json  decoded; objects tell an empty object from an empty list, arrays cannot
     *
     * @throws BriefIsWrong naming the member and the remedy
     */
    public static function read(mixed $json): Brief
    {
        try {
            $parts = self::parts(
                $json instanceof stdClass,
                Upgrade::toNewest(ObjectSchema::membersOf($json) ?? throw MemberIsWrong::at('/', 'an object', $json)),
            );

            return new Brief(
                Criteria::read($parts['gather'], $parts['sift']),
                Shape::read($parts['shape']),
                Dress::read($parts['dress']),
            );
        } catch (MemberIsWrong $wrong) {
            throw BriefIsWrong::at($wrong);
        }
    }

    /** @throws BriefIsWrong also where it is no JSON */
    public static function fromJson(string $json): Brief
    {
        try {
            return self::read(JsonText::decode($json, objects: true));
        } catch (JsonIsBroken $wrong) {
            throw BriefIsWrong::syntax($wrong->getMessage());
        }
    }

    /**
     * @param  bool  $isDecoded  to objects, which tell an empty object from an empty list
     * @param  array<array-key, mixed>  $given
     * @return array{gather: mixed, sift: mixed, shape: mixed, dress: mixed}
     *
     * @throws MemberIsWrong
     */
    private static function parts(bool $isDecoded, array $given): array
    {
        $known = array_keys(Brief::parts());
        foreach (array_keys($given) as $name) {
            if (! in_array($name, $known, true)) {
                throw MemberIsWrong::unknown("/$name", $known);
            }
            if ($isDecoded && $given[$name] === []) {
                throw MemberIsWrong::at("/$name", 'an object', []);
            }
        }
        $part = fn (string $name): mixed => array_key_exists($name, $given) ? $given[$name] : [];

        return ['gather' => $part('gather'), 'sift' => $part('sift'), 'shape' => $part('shape'), 'dress' => $part('dress')];
    }
}
