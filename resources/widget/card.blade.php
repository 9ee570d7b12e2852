<article class="card">
@if ($card->rating !== null)
<p class="rating"><span class="glyphs h{{ $card->halves }}" aria-hidden="true"></span>{{ $card->rating }}</p>
@endif
@if ($card->title !== null)
<p class="title" dir="auto"{!! $card->language === null ? '' : ' lang="'.e($card->language).'"' !!}>{{ $card->title }}</p>
@endif
@if ($card->words !== null)
<div class="words" dir="auto"{!! $card->language === null ? '' : ' lang="'.e($card->language).'"' !!}>
@if ($card->whole !== null)
<p class="short">{!! nl2br(e($card->words), false) !!}&nbsp;…</p>
<details><summary><span class="more">Read more</span><span class="less">Read less</span></summary><p>{!! nl2br(e($card->whole), false) !!}</p></details>
@else
<p>{!! nl2br(e($card->words), false) !!}</p>
@endif
</div>
@endif
@if ($card->reply !== null)
<div class="reply"><p class="who">The owner replied</p><p dir="auto">{!! nl2br(e($card->reply), false) !!}</p></div>
@endif
@if ($card->shots !== [])
<div class="shots n{{ count($card->shots) }}">
@foreach ($card->shots as $shot)
<img src="{{ $shot->kept->at(640) }}" srcset="{{ $shot->kept->set() }}" sizes="{{ count($card->shots) > 1 ? '180px' : '360px' }}" width="{{ $shot->kept->width }}" height="{{ $shot->kept->height }}" alt="{{ $shot->alt ?? '' }}" loading="lazy" decoding="async">
@endforeach
</div>
@endif
@if ($card->name !== null || $card->face !== null || $card->when !== null || $card->where !== null)
<p class="by{{ $card->face === null ? '' : ' faced' }}">
@if ($card->face !== null)
@if ($card->face->address !== null)
<img class="face" src="{{ $card->face->address }}" width="40" height="40" alt="" loading="lazy" decoding="async">
@else
<span class="face" style="background:hsl({{ $card->face->hue }} 35% 30%)" aria-hidden="true">{{ $card->face->initials }}</span>
@endif
@endif
<span class="said">
@if ($card->name !== null)
<bdi class="name">{{ $card->name }}</bdi>
@endif
@if ($card->when !== null)
<time datetime="{{ $card->date }}">{{ $card->when }}</time>@if ($card->where !== null), @endif
@endif
@if ($card->where !== null)
<span class="where">{{ $card->when !== null ? 'on' : 'On' }} @if ($card->url !== null)<a href="{{ $card->url }}" rel="nofollow ugc noopener" target="_blank">{{ $card->where }}</a>@else{{ $card->where }}@endif</span>
@endif
</span>
</p>
@endif
</article>
