:host{display:block!important;container-type:inline-size;min-width:0}
:host([hidden]){display:none!important}
.g{all:initial;direction:inherit;font-family:inherit;display:block;box-sizing:border-box;padding:16px 20px;font-size:16px;line-height:1.5;color:{{ $palette->ink }};background:{{ $palette->ground }};-webkit-text-size-adjust:100%;overflow-wrap:anywhere}
.g *{box-sizing:border-box}
p{margin:0}
.unseen{position:absolute;width:1px;height:1px;overflow:hidden;clip-path:inset(50%)}
.heading{font-size:26px;line-height:1.25;font-weight:700;margin-bottom:8px}
.head{display:flex;flex-wrap:wrap;align-items:baseline;gap:2px 14px;padding-bottom:12px;border-bottom:1px solid {{ $palette->line }}}
.figure{font-size:32px;line-height:1.15;font-weight:700}
.base,.honest,.rating,.by,.reply{font-size:14px;color:{{ $palette->quiet }}}
.spread{align-self:center;fill:{{ $palette->glyph }}}
.none{padding:20px 0;color:{{ $palette->quiet }}}
.card{padding:18px 0}
.stack .card+.card{border-top:1px solid {{ $palette->line }}}
.stack .words,.stack .reply,.stack .title{max-width:68ch}
.rating{display:flex;align-items:center;gap:9px;margin-bottom:8px}
.glyphs{position:relative;width:75px;height:15px;flex:none}
.glyphs::before,.glyphs::after{content:"";position:absolute;inset:0;background:{{ $palette->glyph }};-webkit-mask:0 0/15px 15px repeat-x;mask:0 0/15px 15px repeat-x;forced-color-adjust:none}
.glyphs::before{--m:url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 15 15'%3E%3Cpath d='M7 1.2l5.8 6.3L7 13.8 1.2 7.5z' fill='none' stroke='%23000'/%3E%3C/svg%3E");-webkit-mask-image:var(--m);mask-image:var(--m)}
.glyphs::after{--m:url("data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' viewBox='0 0 15 15'%3E%3Cpath d='M7 .5l6.5 7L7 14.5.5 7.5z'/%3E%3C/svg%3E");-webkit-mask-image:var(--m);mask-image:var(--m)}
@foreach (range(2, 9) as $halves)
.h{{ $halves }}::after{right:{{ 75 - $halves * 7.5 + ($halves % 2 === 1 ? 0.5 : 0) }}px}
@endforeach
.title{font-weight:600;margin-bottom:4px}
.words{font-size:17px}
.words p{white-space:normal}
details p{margin-top:0}
summary{cursor:pointer;list-style:none;font-size:14px;text-decoration:underline;text-underline-offset:3px;width:fit-content;padding:3px 0}
summary::-webkit-details-marker{display:none}
.less,details[open] .more{display:none}
details[open] .less{display:inline}
.words:has([open]) .short{display:none}
.reply{margin-top:10px;padding-left:12px;border-left:2px solid {{ $palette->line }}}
.who{font-weight:600}
.by{margin-top:12px}
.faced{display:flex;gap:10px;align-items:center}
.said{display:block}
.face{flex:none;width:40px;height:40px;border-radius:50%;object-fit:cover}
span.face{display:grid;place-items:center;color:#fff;font-size:14px;font-weight:600}
.shots{display:grid;grid-template-columns:1fr;gap:6px;margin-top:10px}
.shots:not(.n1){grid-template-columns:1fr 1fr}
.shots img{display:block;width:100%;height:auto;aspect-ratio:4/3;object-fit:cover}
.name{display:block;font-weight:600;color:{{ $palette->glyph }}}
a{color:inherit;text-underline-offset:3px}
.view{overflow:hidden;overflow:clip;overflow-clip-margin:0;border-bottom:1px solid {{ $palette->line }}}
.track{display:grid;grid-auto-flow:column;grid-auto-columns:100%;margin:0 -20px;overflow-x:auto;scroll-snap-type:x mandatory;overscroll-behavior-x:contain;scrollbar-width:thin;scrollbar-color:{{ $palette->line }} transparent}
.track.live{scrollbar-width:none}
.track.live::-webkit-scrollbar{display:none}
.slide{scroll-snap-align:start;padding:0 20px;border-left:1px solid {{ $palette->line }};margin-left:-1px;min-width:0}
@foreach ($plan->breakpoints as $width => $across)
@@container (min-width:{{ $width }}px){.track{grid-auto-columns:calc(100%/{{ $across }})}}
@endforeach
@if ($plan->honest !== [])
.honest [lang]:not([lang=en]){display:none}
@php($others = array_map(fn ($line) => $line->language, array_slice($plan->honest, 1)))
{!! implode(',', array_map(fn ($language) => ":host(:lang($language)) .honest [lang=$language]", $others)) !!}{display:inline!important}
:host(:is({!! implode(',', array_map(fn ($language) => ":lang($language)", $others)) !!})) [lang=en]{display:none}
@endif
@foreach ($plan->fewer as $fewer)
@@container {{ $fewer['from'] > 0 ? "(min-width:{$fewer['from']}px)" : '' }}{{ $fewer['from'] > 0 && $fewer['to'] !== null ? ' and ' : '' }}{{ $fewer['to'] !== null ? '(max-width:'.($fewer['to'] - 0.02).'px)' : '' }}{{ $fewer['from'] === 0 && $fewer['to'] === null ? '(min-width:0px)' : '' }}{.track>:nth-child(n+{{ $fewer['cards'] + 1 }}),.stack>:nth-child(n+{{ $fewer['cards'] + 1 }}){display:none}}
@endforeach
.foot{display:flex;flex-wrap:wrap;align-items:center;justify-content:space-between;gap:4px 16px;min-height:44px;padding-top:6px}
.turn{display:flex;align-items:center;gap:6px;margin-left:auto;visibility:hidden;font-size:14px}
.turn.live{visibility:visible}
.at{min-width:58px;text-align:center;font-weight:600}
button{all:unset;box-sizing:border-box;cursor:pointer;display:grid;place-items:center;width:44px;height:36px;border-radius:3px;color:inherit}
button[disabled]{cursor:default;opacity:.35}
button svg{fill:none;stroke:{{ $palette->glyph }};stroke-width:1.5}
.pause[aria-pressed=false] .play,.pause[aria-pressed=true] .bars{display:none}
:focus-visible{outline:2px solid {{ $palette->glyph }};outline-offset:-2px;border-radius:3px}
@@media (prefers-reduced-motion:no-preference){.track.live{scroll-behavior:smooth}}
@@media print{.track{grid-auto-flow:row;overflow:visible}.turn{display:none}}
