@php($spokenIn = $card->language === null || $card->language === $words->language ? '' : ' lang="'.e($card->language).'"')
<article class="card">
@if ($card->rating !== null)
<p class="rating quiet"><span class="glyphs" style="--halves:{{ $card->halves }}" aria-hidden="true"></span>{{ $card->rating }}</p>
@endif
@if ($card->title !== null)
<p class="title" dir="auto"{!! $spokenIn !!}>{{ $card->title }}</p>
@endif
@if ($card->words !== null)
<div class="words" dir="auto"{!! $spokenIn !!}>
@if ($card->whole !== null)
<p class="short">{!! nl2br(e($card->words), false) !!}&nbsp;…</p>
<details><summary{!! $spokenIn === '' ? '' : ' lang="'.$words->language.'"' !!}><span class="more">{{ $words->say('card.more') }}</span><span class="less">{{ $words->say('card.less') }}</span></summary><p>{!! nl2br(e($card->whole), false) !!}</p></details>
@else
<p>{!! nl2br(e($card->words), false) !!}</p>
@endif
</div>
@endif
@if ($card->reply !== null)
<div class="reply quiet"><p class="who">{{ $words->say('card.replied') }}</p><p dir="auto">{!! nl2br(e($card->reply), false) !!}</p></div>
@endif
@if ($card->pictures !== [])
<div class="pictures n{{ count($card->pictures) }}">
@foreach ($card->pictures as $picture)
<img src="{{ $picture->stored->at(640) }}" srcset="{{ $picture->stored->set() }}" sizes="{{ count($card->pictures) > 1 ? '180px' : '360px' }}" width="{{ $picture->stored->width }}" height="{{ $picture->stored->height }}" alt="{{ $picture->alt ?? '' }}" loading="lazy" decoding="async" referrerpolicy="no-referrer">
@endforeach
</div>
@endif
@if ($card->name !== null || $card->face !== null || $card->when !== null || $card->where !== null)
<p class="by quiet{{ $card->face === null ? '' : ' faced' }}">
@if ($card->face !== null)
@if ($card->face->address !== null)
<img class="face" src="{{ $card->face->address }}" width="40" height="40" alt="" loading="lazy" decoding="async" referrerpolicy="no-referrer">
@else
<span class="face" style="background:hsl({{ $card->face->hue }} 35% 30%)" aria-hidden="true">{{ $card->face->initials }}</span>
@endif
@endif
<span>
@if ($card->name !== null)
<bdi class="name">{{ $card->name }}</bdi>
@endif
@if ($card->when !== null)<time datetime="{{ $card->date }}">{{ $card->when }}</time>@endif
@if ($card->where !== null)<span class="where">{{ $card->saidAt[0] }}@if ($card->url !== null)<a href="{{ $card->url }}" rel="nofollow ugc noopener noreferrer" target="_blank">{{ $card->where }}</a>@else{{ $card->where }}@endif{{ $card->saidAt[1] }}</span>
@endif
</span>
</p>
@endif
</article>
