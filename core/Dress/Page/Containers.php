<?php

declare(strict_types=1);

namespace Gnomic\Dress\Page;

use Gnomic\Text\Pieces;

/** Answers conditions of "@container" (CSS Containment 3) for what stands in an element, by the width that its containers have. */
final class Containers
{
    /**
     * @param  string  $condition  as it was written: "card (min-width: 30rem)"
     * @param  Computed|null  $parent  of the element that is asked of
     */
    public static function answer(string $condition, ?Computed $parent, Viewport $viewport): Answer
    {
        $name = null;
        if (preg_match('/^\s*(?!(?:not|style|and|or)\b)([a-z_-][\w-]*)\s+(?=\(|not\b|style\b)(.*)$/siD', $condition, $found) === 1) {
            [$name, $condition] = [$found[1], $found[2]];
        }
        $isOfStyle = stripos($condition, 'style(') !== false;
        $container = null;
        for ($at = $parent; $at !== null && $container === null; $at = $at->parent) {
            $isOne = $isOfStyle || in_array($at->value('container-type'), ['size', 'inline-size'], true);
            $container = $isOne && ($name === null || in_array($name, Pieces::of($at->value('container-name')), true)) ? $at : null;
        }
        if ($container === null) {
            return new Answer(false, true);
        }
        if ($isOfStyle) {
            return self::style($condition, $container);
        }
        $width = (int) round($container->width);
        $holds = (new Viewport($width, $viewport->height, $viewport->isDark))->contains($condition);

        // How high a container is, nobody knows before it is laid out.
        $isOfHeight = preg_match('/height|block-size|aspect-ratio|orientation|scroll-state/i', $condition) === 1;

        return new Answer($holds, $container->isWidthSure && ! $isOfHeight);
    }

    /** A custom property and what it must be, alone; of others nobody asks. */
    private static function style(string $condition, Computed $container): Answer
    {
        if (preg_match('/^\s*(not\s+)?style\(\s*(--[\w-]+)\s*(?::\s*(.*?))?\s*\)\s*$/siD', $condition, $found) !== 1) {
            return new Answer(false, false);
        }
        $is = $container->variables->value($found[2]);
        $holds = isset($found[3]) ? $is !== null && trim($is) === $found[3] : $is !== null;

        return new Answer($holds !== ($found[1] !== ''), true);
    }
}
